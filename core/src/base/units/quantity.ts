/** What the figure of a reading is: volts (V), ohms (Ω, may be OL) or a displayed temperature (°C). */
export type Quantity = 'volts' | 'ohms' | 'celsius';
/** One figure: a reading's quantity, or a bare number with no unit (a B value). */
export type FigureQuantity = Quantity | 'number';
/** What a field asks for: one figure, a temperature as people have it (a range, a bound, something noticed), or a band of resistances. */
export type FieldQuantity = FigureQuantity | 'told-celsius' | 'ohm-band';
