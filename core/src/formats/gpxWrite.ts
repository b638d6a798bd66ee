import type { Route } from '../build/brief.ts';

/** Metres to a degree of latitude, near enough for a road laid out from nothing. */
const METRES_A_DEGREE = 111_200;

const escaped = (text: string): string =>
  text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`).replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, '');

/**
 * A road as a GPX 1.1 track, its heights as smoothed. A road that was only described has no place of its
 * own: it is laid out due north from 0°, 0°, so that its lengths and climbs can be read elsewhere.
 */
export function writeGpx(route: Route): string {
  const lines = route.points.map((p) => {
    const lat = p.lat ?? p.distanceM / METRES_A_DEGREE;
    const lon = p.lon ?? 0;
    return `      <trkpt lat="${lat.toFixed(6)}" lon="${lon.toFixed(6)}"><ele>${p.elevationM.toFixed(2)}</ele></trkpt>`;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>
<gpx version="1.1" creator="Jolly Sprocket" xmlns="http://www.topografix.com/GPX/1/1">
  <trk>
    <name>${escaped(route.name)}</name>
    <trkseg>
${(route.reversed ? lines.reverse() : lines).join('\n')}
    </trkseg>
  </trk>
</gpx>
`;
}
