const STYLES = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'opacity',
  'font-size',
  'font-weight',
  'text-anchor',
] as const;

/** An SVG of the page as a text that stands alone: what its style sheets say is written into every element. */
export function inlinedSvg(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [from, to] = [svg, copy].map((root) => [root, ...root.querySelectorAll<SVGElement>('*')]);
  from.forEach((element, i) => {
    const style = getComputedStyle(element);
    for (const name of STYLES) {
      const value = style.getPropertyValue(name);
      if (value !== '' && value !== 'none') to[i].setAttribute(name, value);
      else if (name === 'fill') to[i].setAttribute('fill', 'none');
    }
    to[i].removeAttribute('class');
    to[i].removeAttribute('style');
  });
  return new XMLSerializer().serializeToString(copy);
}
