import { Colors, DxfWriter, point3d } from '@tarikjabiri/dxf';
import type { Drawing } from '@/core/fitting/drawing';
import type { Point } from '@/core/piping/legs';

const LAYERS = {
  PIPE: Colors.Red,
  ITEMS: Colors.White,
  TEXT: Colors.Yellow,
  DRAINS: Colors.Blue,
  SUPPORTS: Colors.Green,
} as const;
const TEXT_M = 0.12;

/**
 * A drawing as DXF: the true run in three dimensions, in metres, a layer each for pipe, things, words, drains and supports.
 * @param names of the stages
 */
export function runAsDxf({ pieces, marks, supports }: Drawing, names: ReadonlyMap<string, string>): string {
  const dxf = new DxfWriter();
  dxf.setVariable('$INSUNITS', { 70: 6 }); // metres
  for (const [name, colour] of Object.entries(LAYERS)) dxf.addLayer(name, colour, 'CONTINUOUS');
  const at = ([east, north, up]: Point) => point3d(east, north, up);
  for (const p of pieces) {
    dxf.addLine(at(p.from), at(p.to), { layerName: 'PIPE' });
    const middle = p.from.map((x, i) => (x + (p.to[i] as number)) / 2) as unknown as Point;
    dxf.addText(at(middle), TEXT_M, `${p.lengthM.toFixed(2)} m`, { layerName: 'TEXT' });
    if (p.drain) dxf.addCircle(at(p.to), TEXT_M / 2, { layerName: 'DRAINS' });
  }
  for (const s of supports) dxf.addCircle(at(s.at), TEXT_M / 3, { layerName: 'SUPPORTS' });
  for (const m of marks) {
    dxf.addCircle(at(m.at), TEXT_M, { layerName: 'ITEMS' });
    dxf.addText(at(m.at), TEXT_M, `${m.item} ${names.get(m.stageId) ?? ''}`, { layerName: 'TEXT' });
  }
  return dxf.stringify();
}
