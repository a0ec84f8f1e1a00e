/** Says of an element of the library what the library does not; null takes away what it says wrongly. Nothing is touched that is so already. */
export function said(element: Element | null | undefined, attributes: Readonly<Record<string, string | null>>): void {
  if (!element) return;
  for (const [name, value] of Object.entries(attributes)) {
    if (element.getAttribute(name) === value) continue;
    if (value === null) element.removeAttribute(name);
    else element.setAttribute(name, value);
  }
}
