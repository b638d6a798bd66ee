import {
  amount,
  amountText,
  boxWords,
  leadVerdictWords,
  type PlacedBox,
  type Point,
  type Wiring,
} from '@sprocket/core';
import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend, useUnits } from '../../store/store.ts';
import { BikeDrawing } from '../../drawing/BikeDrawing.tsx';
import { FromAbove } from '../../drawing/FromAbove.tsx';
import { pathOf, type Sheet } from '../../drawing/frame.ts';
import { LeadLine, LeadTags } from '../../drawing/LeadLayer.tsx';
import { saveSvg } from '../../drawing/saveDrawing.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';

/** A step of a box or corner by the arrow keys, m. */
const STEP = 0.005;

/** The drawing with every lead on its way; boxes and corners can be dragged. */
export function WireBoard({
  wiring,
  picked,
  onPick,
}: {
  wiring: Wiring;
  picked: string | null;
  onPick: (lead: string | null) => void;
}) {
  const plan = usePlan();
  const build = useBuild();
  const frame = useRef<HTMLDivElement>(null);
  const [view, setView] = useState<'side' | 'above'>('side');
  const [over, setOver] = useState<string | null>(null);
  const lit = over ?? picked;
  const name = `${build.name.replace(/[^\p{L}\p{N}]+/gu, '-')}-leads`.toLowerCase();
  const tools = (
    <div className="board-tools" role="toolbar" aria-label="Drawing">
      <div className="tool-group" role="group" aria-label="View">
        {(['side', 'above'] as const).map((v) => (
          <button key={v} type="button" aria-pressed={view === v} onClick={() => setView(v)}>
            {{ side: 'Side', above: 'Above' }[v]}
          </button>
        ))}
      </div>
      <p className="board-says" aria-live="polite">
        <LitLine wiring={wiring} lit={lit} />
      </p>
      {view === 'side' ? (
        <div className="tool-group tool-end" role="group" aria-label="Save the drawing">
          <button
            type="button"
            onClick={() => {
              const svg = frame.current?.querySelector('svg');
              if (svg) saveSvg(svg, name);
            }}
          >
            SVG
          </button>
        </div>
      ) : null}
    </div>
  );
  return (
    <div className="wire-board" ref={frame}>
      {view === 'side' ? null : tools}
      {view === 'side' ? (
        <BikeDrawing
          plan={plan}
          layers={['parts']}
          sheet="sheet 6"
          tall
          tools={tools}
          overlay={(sheet) => (
            <WireOverlay wiring={wiring} sheet={sheet} lit={lit} picked={picked} onPick={onPick} onOver={setOver} />
          )}
        />
      ) : (
        <FromAbove plan={plan} wires={wiring} lit={lit} />
      )}
    </div>
  );
}

/** What is said of the lead in hand: needs, has, spare. */
function LitLine({ wiring, lit }: { wiring: Wiring; lit: string | null }) {
  const units = useUnits();
  const index = wiring.leads.findIndex((l) => l.id === lit);
  const lead = wiring.leads[index];
  if (!lead) return <span className="quiet">Point at a lead, or press Tab to it; drag a box and lengths follow.</span>;
  const say = (m: number): string => amountText(amount(Math.abs(m), 'size', 0), units);
  return (
    <>
      <strong>
        {index + 1} {lead.what}
      </strong>{' '}
      needs {say(lead.neededM)} ± {say(lead.bandM)}
      {lead.suppliedM === null ? ', length not known' : `, has ${say(lead.suppliedM)}`}
      {lead.spareM === null
        ? ''
        : lead.spareM < 0
          ? `: ${say(lead.spareM)} short`
          : `: ${say(lead.spareM)} over`} · {leadVerdictWords[lead.verdict]}
    </>
  );
}

interface OverlayProps {
  wiring: Wiring;
  sheet: Sheet;
  lit: string | null;
  picked: string | null;
  onPick: (lead: string | null) => void;
  onOver: (lead: string | null) => void;
}

function WireOverlay({ wiring, sheet, lit, picked, onPick, onOver }: OverlayProps) {
  const plan = usePlan();
  const build = useBuild();
  const send = useSend();
  const { px } = sheet;
  const { pack } = plan.drawing;
  const { controller } = plan.pack.layout;
  const corners = picked ? (build.wiring.leads[picked]?.way ?? []) : [];
  // The one in hand is drawn last, above the others.
  const order = useMemo(
    () =>
      wiring.leads
        .map((lead, index) => ({ lead, index }))
        .sort((a, b) => Number(a.lead.id === lit) - Number(b.lead.id === lit)),
    [wiring, lit],
  );
  const setWay = (way: { xM: number; yM: number }[]): void => {
    if (picked)
      send(buildActions.leadEdited({ field: `wiring.${picked}.way`, value: { lead: picked, change: { way } } }));
  };
  return (
    <g className="wires">
      {pack ? <path d={pathOf(pack.outline, true)} className="wire-pack" strokeWidth={1.6 * px} /> : null}
      {controller && !build.wiring.boxes.controller ? (
        <path d={pathOf(controller.outline, true)} className="wire-pack" strokeWidth={1.6 * px} />
      ) : null}
      {order.map(({ lead, index }) => (
        <g
          key={lead.id}
          role="button"
          tabIndex={0}
          className="wire-hit"
          aria-label={`Lead ${index + 1}, ${lead.what}: ${leadVerdictWords[lead.verdict]}`}
          aria-pressed={picked === lead.id}
          onPointerEnter={() => onOver(lead.id)}
          onPointerLeave={() => onOver(null)}
          onFocus={() => onOver(lead.id)}
          onBlur={() => onOver(null)}
          onClick={() => onPick(picked === lead.id ? null : lead.id)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' && event.key !== ' ') return;
            event.preventDefault();
            onPick(picked === lead.id ? null : lead.id);
          }}
        >
          <path d={pathOf(lead.points)} className="wire-catch" strokeWidth={13 * px} />
          <LeadLine lead={lead} index={index} px={px} lit={lit === lead.id} dim={lit !== null && lit !== lead.id} />
        </g>
      ))}
      <LeadTags leads={wiring.leads} sheet={sheet} lit={lit} />
      {wiring.boxes.map((box) => (
        <BoxMark key={box.id} box={box} sheet={sheet} />
      ))}
      {corners.map((c, i) => (
        <Handle
          key={i}
          at={{ x: c.xM, y: c.yM }}
          sheet={sheet}
          label={`Corner ${i + 1} of the lead: arrows move it, Delete takes it out`}
          onPut={(p) => setWay(corners.map((k, j) => (j === i ? { xM: p.x, yM: p.y } : k)))}
          onGone={() => setWay(corners.filter((_, j) => j !== i))}
        >
          <rect
            x={-5 * px}
            y={-5 * px}
            width={10 * px}
            height={10 * px}
            className="wire-corner"
            strokeWidth={1.6 * px}
          />
        </Handle>
      ))}
    </g>
  );
}

/** A box on the drawing; one that may be moved is dragged, or stepped by the arrow keys, and put back by Home. */
function BoxMark({ box, sheet }: { box: PlacedBox; sheet: Sheet }) {
  const send = useSend();
  const { px } = sheet;
  const put = (at: Point | null): void => {
    send(
      buildActions.boxPut({
        field: `wiring.box.${box.id}`,
        value: { box: box.id, at: at ? { xM: at.x, yM: at.y } : null },
      }),
    );
  };
  if (!box.moves)
    return (
      <circle cx={box.at.x} cy={-box.at.y} r={3.4 * px} className="wire-box" strokeWidth={1.4 * px}>
        <title>{boxWords[box.id]}</title>
      </circle>
    );
  return (
    <Handle
      at={box.at}
      sheet={sheet}
      label={`${boxWords[box.id]}: arrows move it, Home puts it back`}
      onPut={put}
      onGone={() => put(null)}
    >
      <rect
        x={-8 * px}
        y={-6 * px}
        width={16 * px}
        height={12 * px}
        rx={2 * px}
        className={box.byHand ? 'wire-movable by-hand' : 'wire-movable'}
        strokeWidth={1.8 * px}
      />
      <path
        d={`M${-3 * px} ${-2 * px}H${3 * px}M${-3 * px} ${2 * px}H${3 * px}`}
        className="wire-grip"
        strokeWidth={1.2 * px}
      />
    </Handle>
  );
}

/** Something that is dragged over the sheet. While it is held it follows the hand; the plan hears of it as it goes. */
function Handle({
  at,
  sheet,
  label,
  onPut,
  onGone,
  children,
}: {
  at: Point;
  sheet: Sheet;
  label: string;
  onPut: (p: Point) => void;
  onGone: () => void;
  children: React.ReactNode;
}) {
  const box = useRef<SVGGElement>(null);
  const held = useRef(false);
  const place = (event: PointerEvent): Point => {
    const rect = box.current?.ownerSVGElement?.getBoundingClientRect();
    if (!rect) return at;
    return {
      x: sheet.left + ((event.clientX - rect.left) / rect.width) * sheet.width,
      y: sheet.top - ((event.clientY - rect.top) / rect.height) * sheet.height,
    };
  };
  const keys = (event: KeyboardEvent): void => {
    const step = event.shiftKey ? STEP * 5 : STEP;
    if (event.key === 'ArrowRight') onPut({ x: at.x + step, y: at.y });
    else if (event.key === 'ArrowLeft') onPut({ x: at.x - step, y: at.y });
    else if (event.key === 'ArrowUp') onPut({ x: at.x, y: at.y + step });
    else if (event.key === 'ArrowDown') onPut({ x: at.x, y: at.y - step });
    else if (event.key === 'Home' || event.key === 'Delete' || event.key === 'Backspace') onGone();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <g
      ref={box}
      role="button"
      tabIndex={0}
      className="wire-handle"
      aria-label={label}
      transform={`translate(${at.x} ${-at.y})`}
      onKeyDown={keys}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        held.current = true;
      }}
      onPointerMove={(event) => {
        if (held.current) onPut(place(event));
      }}
      onPointerUp={() => (held.current = false)}
      onPointerCancel={() => (held.current = false)}
    >
      <circle r={14 * sheet.px} className="wire-catch-all" />
      {children}
    </g>
  );
}
