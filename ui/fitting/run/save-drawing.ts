import type { Drawing } from '@/core/fitting/drawing';
import { saveFile } from '@/ui/primitives/save-file';

const PAINTED = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'font-size',
  'font-weight',
  'text-anchor',
] as const;

/** Saves the drawing as it is seen: the colours of the theme become its own. */
export function saveSvg(svg: SVGSVGElement, line: string): void {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [own, copied] = [svg, copy].map((of) => [of, ...of.querySelectorAll('*')]) as [Element[], Element[]];
  own.forEach((element, i) => {
    const style = getComputedStyle(element);
    const to = copied[i] as Element;
    for (const name of PAINTED) to.setAttribute(name, style.getPropertyValue(name));
    for (const attribute of ['class', 'style', 'role', 'tabindex']) to.removeAttribute(attribute);
  });
  for (const handle of copy.querySelectorAll('[aria-valuenow]')) handle.remove();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('font-family', 'sans-serif');
  saveFile(new XMLSerializer().serializeToString(copy), 'image/svg+xml', line, 'svg');
}

/** Saves the run as DXF; the writer is fetched when it is wanted. */
export async function saveDxf(drawing: Drawing, names: ReadonlyMap<string, string>, line: string): Promise<void> {
  const { runAsDxf } = await import('./to-dxf');
  saveFile(runAsDxf(drawing, names), 'image/vnd.dxf', line, 'dxf');
}
