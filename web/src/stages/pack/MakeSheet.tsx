import { Button, NativeSelect } from '@mantine/core';
import {
  bracketSheet,
  dxfDrawing,
  packTemplate,
  pagesOf,
  paperSizes,
  papers,
  printScales,
  rackBracket,
  railStrip,
  seatBackBracket,
  sideSheet,
  svgDrawing,
  svgPage,
  type Paper,
  type PrintScale,
  type SheetDrawing,
} from '@sprocket/core';
import { getNonce } from 'get-nonce';
import { useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { useBuild } from '../../store/store.ts';
import { downloadText } from '../../ui/download.ts';

interface Made {
  id: string;
  label: string;
  what: string;
  drawing: SheetDrawing;
}

/** Things to cut and bend, at true scale: a template of the pack, strips, brackets, and the vehicle to pin up. */
export function MakeSheet() {
  const plan = usePlan();
  const build = useBuild();
  const { pack } = plan.chosen;
  const { drawing } = plan;
  const { layout } = plan.pack;
  const [scale, setScale] = useState<PrintScale>(10);
  const [paper, setPaper] = useState<Paper>('a4');
  const [shown, setShown] = useState<string>('template');
  const [printing, setPrinting] = useState<SheetDrawing | null>(null);
  const made = useMemo((): Made[] => {
    const lies = layout.pack?.taken.lies ?? null;
    const side = sideSheet(
      drawing.geometry,
      build.name,
      pack && layout.pack
        ? { name: pack.name, outline: layout.pack.taken.outline, slidOff: layout.pack.taken.slidOff }
        : null,
      scale,
    );
    const bosses = lies ? (layout.room.mounts.find((m) => m.place === lies.place)?.bossesM ?? []) : [];
    const strip = pack && lies ? railStrip(pack, lies, bosses) : null;
    const back = pack ? seatBackBracket(drawing.geometry, pack) : null;
    return [
      ...(pack
        ? [
            {
              id: 'template',
              label: 'Pack template',
              what: 'The pack’s outline to cut from card and hold in the frame, with its way off and room for key and plug.',
              drawing: packTemplate(pack, lies?.alongM ?? null),
            },
          ]
        : []),
      ...(strip
        ? [
            {
              id: 'strip',
              label: 'Rail strip',
              what: 'A flat strip that joins the rail’s holes to the frame’s bosses.',
              drawing: strip,
            },
          ]
        : []),
      ...(back && pack?.places.includes('seatBack')
        ? [
            {
              id: 'back',
              label: 'Seat-back bracket',
              what: 'Flat stock bent to carry the pack on the seat’s back.',
              drawing: bracketSheet(back, 2),
            },
          ]
        : []),
      ...(pack?.places.includes('rack')
        ? [
            {
              id: 'rack',
              label: 'Rack saddle',
              what: 'Flat stock bent over the rack’s rails, two of them under the pack.',
              drawing: bracketSheet(rackBracket(pack), 2),
            },
          ]
        : []),
      { id: 'side', label: 'Side view', what: 'The vehicle with the pack, to pin above the bench.', drawing: side },
    ];
  }, [pack, layout, drawing.geometry, build.name, scale]);
  const one = made.find((m) => m.id === shown) ?? made[0];
  if (!one) return null;
  const pages = pagesOf(one.drawing, paper);
  const file = `${build.name} ${one.label}`.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  return (
    <section className="card make" aria-labelledby="make-title">
      <div className="section-head">
        <h2 id="make-title">Drawings to make by</h2>
        <span className="quiet">all at true scale; every page carries a rule of 100 mm to prove it by</span>
      </div>
      <div className="make-head">
        <div className="pills" role="group" aria-label="Which drawing">
          {made.map((m) => (
            <button
              key={m.id}
              type="button"
              className="pill"
              aria-pressed={m.id === one.id}
              onClick={() => setShown(m.id)}
            >
              {m.label}
            </button>
          ))}
        </div>
        {one.id === 'side' ? (
          <NativeSelect
            label="Scale"
            value={String(scale)}
            data={printScales.map((k) => ({ value: String(k), label: k === 1 ? '1 : 1, the inside' : `1 : ${k}` }))}
            onChange={(event) => setScale(Number(event.currentTarget.value) as PrintScale)}
          />
        ) : null}
        <NativeSelect
          label="Paper"
          value={paper}
          data={papers.map((value) => ({ value, label: paperSizes[value].words }))}
          onChange={(event) => setPaper(event.currentTarget.value as Paper)}
        />
        <div className="make-buttons">
          <Button onClick={() => setPrinting(one.drawing)}>
            Print {pages.length === 1 ? 'one page' : `${pages.length} pages`}
          </Button>
          <Button
            variant="default"
            onClick={() => downloadText(`${file}.svg`, svgDrawing(one.drawing), 'image/svg+xml')}
          >
            SVG
          </Button>
          <Button
            variant="default"
            onClick={() => downloadText(`${file}.dxf`, dxfDrawing(one.drawing), 'image/vnd.dxf')}
          >
            DXF
          </Button>
        </div>
      </div>
      <p>{one.what}</p>
      <div className="make-pages" tabIndex={0} role="region" aria-label={`${one.label}, pages as they print`}>
        {pages.map((page) => (
          <div
            key={page.page}
            className="make-page"
            role="img"
            aria-label={`Page ${page.page} of ${page.of}`}
            // Written by our own writer from numbers and escaped names.
            dangerouslySetInnerHTML={{ __html: svgPage(one.drawing, page) }}
          />
        ))}
      </div>
      <p className="quiet">
        Print at 100 %, “actual size”, and lay a steel rule on the printed one. Deburr what you cut; wear glasses when
        drilling; ask somebody who welds before you weld near a battery.
      </p>
      {printing ? <PrintJob drawing={printing} paper={paper} onDone={() => setPrinting(null)} /> : null}
    </section>
  );
}

/** Pages set out for the printer alone, each the size of its paper. */
function PrintJob({ drawing, paper, onDone }: { drawing: SheetDrawing; paper: Paper; onDone: () => void }) {
  const { widthMm, heightMm } = paperSizes[paper];
  const pages = pagesOf(drawing, paper).map((page) => svgPage(drawing, page));
  return createPortal(
    <div
      className="print-job"
      ref={(node) => {
        if (!node || node.dataset.sent) return;
        node.dataset.sent = 'yes';
        const done = (): void => {
          removeEventListener('afterprint', done);
          onDone();
        };
        addEventListener('afterprint', done);
        requestAnimationFrame(() => window.print());
      }}
    >
      <style nonce={getNonce()}>{`@page { size: ${widthMm}mm ${heightMm}mm; margin: 0; }`}</style>
      {pages.map((svg, i) => (
        <div key={i} className="print-page" dangerouslySetInnerHTML={{ __html: svg }} />
      ))}
    </div>,
    document.body,
  );
}
