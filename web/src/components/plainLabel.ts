/** The chart library understands tags in labels: text that is not ours is shown as text, never as markup. */
export function plainLabel(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');
}
