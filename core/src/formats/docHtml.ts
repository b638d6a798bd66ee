import { phraseText, type Phrase } from '../quantity/format.ts';
import type { UnitSystem } from '../quantity/units.ts';
import { textsIn } from '../quantity/words.ts';
import type { Doc, DocBlock } from './doc.ts';

/** Text as HTML shows it: nothing of it is ever markup. */
export function htmlText(text: string): string {
  return text
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;')
    .replace(/'/g, '&#39;');
}

/** Only a raster picture in base64 may be shown. */
const PICTURE = /^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/]+=*$/;

function blockHtml(block: DocBlock, units: UnitSystem): string {
  const said = (words: Phrase): string => htmlText(phraseText(words, units));
  switch (block.kind) {
    case 'heading':
      return `<h2>${htmlText(block.text)}${block.sub ? ` <small>${htmlText(block.sub)}</small>` : ''}</h2>`;
    case 'text':
      return `<p${block.quiet ? ' class="quiet"' : ''}>${block.strong ? `<strong>${said(block.text)}</strong>` : said(block.text)}</p>`;
    case 'list':
      return `<ul>${block.items.map((item) => `<li>${said(item)}</li>`).join('')}</ul>`;
    case 'facts':
      return `<dl>${block.rows.map((r) => `<div><dt>${htmlText(r.label)}</dt><dd>${said(r.value)}</dd></div>`).join('')}</dl>`;
    case 'table': {
      const at = (i: number): string => (block.figures?.includes(i) ? ' class="num"' : '');
      return `<table><caption>${htmlText(block.caption)}</caption><thead><tr>${block.heads.map((h, i) => `<th scope="col"${at(i)}>${htmlText(h)}</th>`).join('')}</tr></thead><tbody>${block.rows
        .map((row) => `<tr>${row.map((cell, i) => `<td${at(i)}>${said(cell)}</td>`).join('')}</tr>`)
        .join('')}</tbody></table>`;
    }
    case 'drawing':
      return `<figure class="drawing" role="img" aria-label="${htmlText(block.alt)}">${block.svg}</figure>`;
    case 'photos':
      return `<div class="photos">${block.photos
        .filter((p) => PICTURE.test(p.dataUrl))
        .map(
          (p) =>
            `<figure><img src="${p.dataUrl}" alt="${htmlText(p.caption)}"><figcaption>${htmlText(p.caption)}</figcaption></figure>`,
        )
        .join('')}</div>`;
    case 'caution':
      return `<p class="caution"><strong>${htmlText(block.title)}.</strong> ${said(block.text)} Ask ${htmlText(block.ask)}.</p>`;
    case 'lines':
      return `<p class="lines">${block.labels.map((l) => `<span>${htmlText(l)}</span>`).join('')}</p>`;
  }
}

const STYLE = `
:root{color-scheme:light}
*{box-sizing:border-box}
body{margin:0 auto;padding:12mm;max-width:210mm;background:#fff;color:#17323a;font:10.5pt/1.4 'Atkinson Hyperlegible',sans-serif;font-variant-numeric:tabular-nums}
h1,h2{font-family:'Bricolage Grotesque Variable','Atkinson Hyperlegible',sans-serif;line-height:1.15;margin:0}
h1{font-size:22pt}h2{font-size:13pt;margin:7mm 0 2mm;border-bottom:.4mm solid #17323a;padding-bottom:1mm;break-after:avoid}
h2 small{font:9pt 'Atkinson Hyperlegible',sans-serif;color:#45595f}
p{margin:1.5mm 0}.quiet{color:#45595f}ul{margin:1.5mm 0;padding-left:5mm}li{margin:.6mm 0}
dl{display:grid;grid-template-columns:1fr 1fr;gap:0 8mm;margin:1.5mm 0}dl div{display:flex;justify-content:space-between;gap:4mm;border-bottom:.2mm solid #c9bfa5;padding:.8mm 0;break-inside:avoid}dt{color:#45595f}dd{margin:0;text-align:right;font-weight:700}
table{border-collapse:collapse;width:100%;margin:2mm 0;font-size:9pt}caption{text-align:left;color:#45595f;padding-bottom:1mm}
th,td{text-align:left;vertical-align:top;padding:.9mm 2mm .9mm 0;border-bottom:.2mm solid #c9bfa5;overflow-wrap:anywhere}thead{display:table-header-group}tr{break-inside:avoid}
.num{text-align:right;white-space:nowrap}
figure{margin:2mm 0;break-inside:avoid}.drawing svg{width:100%;height:auto;max-height:95mm}
.photos{display:grid;grid-template-columns:repeat(3,1fr);gap:3mm}.photos img{width:100%;height:38mm;object-fit:cover}figcaption{font-size:8.5pt;color:#45595f}
.caution{border:.3mm solid #b3392f;border-left-width:1.5mm;padding:1.5mm 2.5mm;break-inside:avoid}
.lines{display:flex;gap:8mm;margin-top:16mm;break-inside:avoid}.lines span{flex:1;border-top:.3mm solid #17323a;padding-top:1mm;font-size:8.5pt}
footer{margin-top:6mm;border-top:.2mm solid #c9bfa5;padding-top:2mm;font-size:8.5pt;color:#45595f}
@page{size:A4;margin:12mm}@media print{body{padding:0;max-width:none}}
`;

/**
 * A paper as one HTML file that needs nothing beside it: no script, no address, its fonts in it where they are given.
 * @param fonts CSS that brings the fonts, as data
 */
export function docHtml(written: Doc, units: UnitSystem, fonts = ''): string {
  const doc = textsIn(written, units);
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; font-src data:; img-src data:">
<title>${htmlText(doc.title)}</title>
<style>${fonts}${STYLE}</style>
</head>
<body>
<header><h1>${htmlText(doc.title)}</h1><p class="quiet">${htmlText(phraseText(doc.sub, units))}</p></header>
<main>
${doc.blocks.map((b) => blockHtml(b, units)).join('\n')}
</main>
<footer>${htmlText(doc.foot)}</footer>
</body>
</html>
`;
}
