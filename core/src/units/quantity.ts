/** What the figure of a reading is: volts (V), ohms (Ω, may be OL) or a displayed temperature (°C). */
export type Quantity = 'volts' | 'ohms' | 'celsius';
/** What a field asks for: a reading's quantity, or a bare number with no unit (a B value). */
export type FieldQuantity = Quantity | 'number';
