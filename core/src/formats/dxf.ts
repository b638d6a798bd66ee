import { DxfWriter, point2d, point3d, TextHorizontalAlignment, Units } from '@tarikjabiri/dxf';
import { drawnDimension, type SheetDrawing, type SheetLayer, type SheetMark } from '../layout/sheet.ts';

/** Colour numbers of the layers, as CAD programs count them. */
const layers: Record<SheetLayer, number> = { cut: 7, bend: 1, centre: 8, hole: 5, dimension: 4, text: 7, room: 6 };

function put(dxf: DxfWriter, mark: SheetMark): void {
  if (mark.kind === 'dimension') {
    for (const m of drawnDimension(mark)) put(dxf, m);
    return;
  }
  const layerName = mark.layer;
  if (mark.kind === 'circle') {
    dxf.addCircle(point3d(mark.centre.x, mark.centre.y), mark.radius, { layerName });
  } else if (mark.kind === 'text') {
    const at = point3d(mark.at.x, mark.at.y);
    dxf.addText(at, mark.height, mark.text, {
      layerName,
      rotation: mark.turned ?? 0,
      ...(mark.anchor === 'middle' || mark.anchor === 'end'
        ? {
            horizontalAlignment:
              mark.anchor === 'middle' ? TextHorizontalAlignment.Center : TextHorizontalAlignment.Right,
            secondAlignmentPoint: at,
          }
        : {}),
    });
  } else {
    dxf.addLWPolyline(
      mark.points.map((p) => ({ point: point2d(p.x, p.y) })),
      { layerName, flags: mark.closed ? 1 : 0 },
    );
  }
}

/** A drawing as DXF, in millimetres, true scale, a layer each for cuts, bends, holes and lettering. */
export function dxfDrawing(drawing: SheetDrawing): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const [name, colour] of Object.entries(layers)) dxf.addLayer(name, colour, 'Continuous');
  for (const mark of drawing.marks) put(dxf, mark);
  [drawing.title, ...drawing.notes].forEach((text, i) => {
    dxf.addText(point3d(0, -12 - i * 5), i === 0 ? 5 : 2.8, text, { layerName: 'text' });
  });
  return dxf.stringify();
}
