import {
  checkRule,
  drawnDimension,
  line,
  pageFrame,
  paperSizes,
  words,
  type SheetDrawing,
  type SheetLayer,
  type SheetMark,
  type SheetPage,
  type XY,
} from '../layout/sheet.ts';

/** Line weights on paper, mm: what is cut stands out, what is measured recedes. */
const weights: Record<SheetLayer, { stroke: number; colour: string; dash?: string }> = {
  cut: { stroke: 0.5, colour: '#17323a' },
  bend: { stroke: 0.35, colour: '#b3392f', dash: '6 1.5 1 1.5' },
  centre: { stroke: 0.18, colour: '#17323a', dash: '4 1 1 1' },
  hole: { stroke: 0.4, colour: '#17323a' },
  dimension: { stroke: 0.18, colour: '#2a7f7b' },
  text: { stroke: 0, colour: '#17323a' },
  room: { stroke: 0.25, colour: '#6b4e8e', dash: '3 2' },
};

/** A figure as SVG takes it; one that is none stands at the sheet's corner rather than making it unreadable. */
const n = (v: number): string => (Number.isFinite(v) ? String(Math.round(v * 1000) / 1000) : '0');

function escaped(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
}

function markSvg(mark: SheetMark, at: (p: XY) => XY): string {
  if (mark.kind === 'dimension')
    return drawnDimension(mark)
      .map((m) => markSvg(m, at))
      .join('');
  const w = weights[mark.layer];
  const stroke = `stroke="${w.colour}" stroke-width="${w.stroke}"${w.dash ? ` stroke-dasharray="${w.dash}"` : ''} fill="none"`;
  if (mark.kind === 'circle') {
    const c = at(mark.centre);
    return `<circle cx="${n(c.x)}" cy="${n(c.y)}" r="${n(mark.radius)}" ${stroke}/>`;
  }
  if (mark.kind === 'text') {
    const p = at(mark.at);
    const turn = mark.turned ? ` transform="rotate(${n(-mark.turned)} ${n(p.x)} ${n(p.y)})"` : '';
    return `<text x="${n(p.x)}" y="${n(p.y)}" font-size="${mark.height}" fill="${w.colour}" text-anchor="${mark.anchor ?? 'start'}"${turn}>${escaped(mark.text)}</text>`;
  }
  const d =
    mark.points.map((p, i) => `${i === 0 ? 'M' : 'L'}${n(at(p).x)} ${n(at(p).y)}`).join('') + (mark.closed ? 'Z' : '');
  return `<path d="${d}" ${stroke}/>`;
}

const head = (widthMm: number, heightMm: number, title: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${n(widthMm)}mm" height="${n(heightMm)}mm" viewBox="0 0 ${n(widthMm)} ${n(heightMm)}" font-family="'Atkinson Hyperlegible', sans-serif"><title>${escaped(title)}</title><rect width="100%" height="100%" fill="#fff"/>`;

/** A whole drawing as one SVG at true scale: one user unit is one millimetre. */
export function svgDrawing(drawing: SheetDrawing): string {
  const margin = 12;
  const foot = 16 + drawing.notes.length * 4.5;
  const w = Math.max(drawing.widthMm, 110) + 2 * margin;
  const h = drawing.heightMm + 2 * margin + foot + 10;
  const at = (p: XY): XY => ({ x: p.x + margin, y: drawing.heightMm + margin + 10 - p.y });
  const own = (p: XY): XY => ({ x: p.x, y: h - p.y });
  return (
    head(w, h, drawing.title) +
    markSvg(words({ x: margin, y: h - margin - 3 }, drawing.title, 5), own) +
    `<g id="drawing">${drawing.marks.map((m) => markSvg(m, at)).join('')}</g>` +
    `<g id="check-rule">${checkRule({ x: margin, y: 8 + drawing.notes.length * 4.5 })
      .map((m) => markSvg(m, own))
      .join('')}</g>` +
    drawing.notes
      .map((text, i) => markSvg(words({ x: margin, y: (drawing.notes.length - 1 - i) * 4.5 + 3 }, text, 2.8), own))
      .join('') +
    '</svg>\n'
  );
}

/** One page of a drawing as an SVG the size of its paper, with its check rule and join marks. */
export function svgPage(drawing: SheetDrawing, page: SheetPage): string {
  const paper = paperSizes[page.paper];
  const { margin, foot } = pageFrame;
  const at = (p: XY): XY => ({
    x: p.x - page.from.x + margin,
    y: margin + page.heightMm - (p.y - page.from.y),
  });
  const own = (p: XY): XY => ({ x: p.x, y: paper.heightMm - p.y });
  const id = `p${page.page}`;
  const corner = (x: number, y: number): string =>
    [
      line('centre', [
        { x: x - 4, y },
        { x: x + 4, y },
      ]),
      line('centre', [
        { x, y: y - 4 },
        { x, y: y + 4 },
      ]),
    ]
      .map((m) => markSvg(m, own))
      .join('');
  const low = margin + foot;
  return (
    head(paper.widthMm, paper.heightMm, `${drawing.title}, page ${page.page} of ${page.of}`) +
    `<clipPath id="${id}"><rect x="${margin}" y="${margin}" width="${n(page.widthMm)}" height="${n(page.heightMm)}"/></clipPath>` +
    `<g clip-path="url(#${id})">${drawing.marks.map((m) => markSvg(m, at)).join('')}</g>` +
    corner(margin, low) +
    corner(margin + page.widthMm, low) +
    corner(margin, low + page.heightMm) +
    corner(margin + page.widthMm, low + page.heightMm) +
    `<g class="check-rule">${checkRule({ x: margin, y: margin + 6 })
      .map((m) => markSvg(m, own))
      .join('')}</g>` +
    markSvg(words({ x: paper.widthMm - margin, y: margin + 8 }, drawing.title, 4, 'end'), own) +
    markSvg(
      words(
        { x: paper.widthMm - margin, y: margin + 2.5 },
        `page ${page.page} of ${page.of} · print at 100 %, “actual size” · join on the crosses`,
        2.8,
        'end',
      ),
      own,
    ) +
    '</svg>\n'
  );
}
