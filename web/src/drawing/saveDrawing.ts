import { downloadText } from '../ui/download.ts';

/** What a picture keeps of its style: the sheet's colours come from variables that a file does not know. */
const KEPT = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-opacity',
  'opacity',
  'stroke-linecap',
  'stroke-linejoin',
  'font-family',
  'font-weight',
  'paint-order',
];

/** A copy with its looks written into it. */
function styled(svg: SVGSVGElement): SVGSVGElement {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const from = [svg, ...svg.querySelectorAll('*')];
  const to = [copy, ...copy.querySelectorAll('*')];
  from.forEach((element, i) => {
    const style = getComputedStyle(element);
    const twin = to[i];
    if (!twin) return;
    for (const name of KEPT) {
      const value = style.getPropertyValue(name);
      if (value !== '') twin.setAttribute(name, value);
    }
    for (const name of ['class', 'tabindex', 'role']) twin.removeAttribute(name);
  });
  return copy;
}

/** The drawing as a file of its own, with its colours written into it. */
export function svgOf(svg: SVGSVGElement): string {
  const copy = styled(svg);
  // What lies on the overlaid sheet belongs to the drawing.
  const over = svg.parentElement?.querySelector<SVGSVGElement>('.overlay-sheet');
  if (over && over !== svg) copy.append(...styled(over).children);
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  const paper = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  const [x, y, w, h] = (copy.getAttribute('viewBox') ?? '0 0 1 1').split(' ');
  for (const [name, value] of Object.entries({ x, y, width: w, height: h })) paper.setAttribute(name, value ?? '0');
  paper.setAttribute('fill', getComputedStyle(svg.closest('.drawing') ?? svg).backgroundColor);
  copy.prepend(paper);
  return new XMLSerializer().serializeToString(copy);
}

export function saveSvg(svg: SVGSVGElement, name: string): void {
  downloadText(`${name}.svg`, svgOf(svg), 'image/svg+xml');
}

/** The drawing as a picture, twice as fine as on the screen. */
export async function savePng(svg: SVGSVGElement, name: string): Promise<void> {
  const { width, height } = svg.getBoundingClientRect();
  const image = new Image();
  const url = URL.createObjectURL(new Blob([svgOf(svg)], { type: 'image/svg+xml' }));
  try {
    await new Promise((done, failed) => {
      image.onload = done;
      image.onerror = () => failed(new Error('the drawing cannot be turned into a picture'));
      image.src = url;
    });
    const canvas = document.createElement('canvas');
    canvas.width = width * 2;
    canvas.height = height * 2;
    const pen = canvas.getContext('2d');
    if (!pen) throw new Error('no canvas here');
    pen.scale(2, 2);
    pen.drawImage(image, 0, 0, width, height);
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
    if (!blob) throw new Error('the picture is empty');
    const link = document.createElement('a');
    link.href = URL.createObjectURL(blob);
    link.download = `${name}.png`;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
  } finally {
    URL.revokeObjectURL(url);
  }
}
