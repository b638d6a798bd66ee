import type { SurveyFigure } from '@sprocket/core';
import type { ReactNode } from 'react';
import { Words } from '../../../ui/Show.tsx';

/** Strokes shared by the small drawings: part outlines, hidden lines, the tool, and what it reads. */
const part = { className: 'fig-part' };
const faint = { className: 'fig-faint' };
const tool = { className: 'fig-tool' };
const read = { className: 'fig-read' };

/** A dimension between two points with arrow heads. */
function Span({ x1, y1, x2, y2 }: { x1: number; y1: number; x2: number; y2: number }) {
  const run = Math.hypot(x2 - x1, y2 - y1);
  const ux = (x2 - x1) / run;
  const uy = (y2 - y1) / run;
  const head = (x: number, y: number, sign: number): string =>
    `M${x} ${y}L${x + sign * ux * 7 - uy * 2.6} ${y + sign * uy * 7 + ux * 2.6}L${x + sign * ux * 7 + uy * 2.6} ${y + sign * uy * 7 - ux * 2.6}Z`;
  return (
    <g {...read}>
      <path d={`M${x1} ${y1}L${x2} ${y2}`} />
      <path className="fig-head" d={head(x1, y1, 1) + head(x2, y2, -1)} />
    </g>
  );
}

/** Caliper jaws closing on something between x1 and x2 at height y; reaching down from a beam. */
function Caliper({ x1, x2, y, beam }: { x1: number; x2: number; y: number; beam: number }) {
  return (
    <g {...tool}>
      <path d={`M${x1 - 16} ${beam}H${x2 + 40}V${beam - 9}H${x1 - 16}Z`} />
      <path d={`M${x1} ${y}L${x1 - 9} ${beam}H${x1}Z`} />
      <path d={`M${x2} ${y}L${x2 + 9} ${beam}H${x2}Z`} />
    </g>
  );
}

/** A pair drawn side by side, with what to look for marked. */
function Pair({ left, right }: { left: ReactNode; right: ReactNode }) {
  return (
    <>
      <g transform="translate(8 12)">{left}</g>
      <path {...faint} d="M110 14V116" strokeDasharray="3 4" />
      <g transform="translate(118 12)">{right}</g>
    </>
  );
}

const teethRing = (cx: number, cy: number, r: number, n: number): string =>
  Array.from({ length: n * 2 }, (_, i) => {
    const a = (i / (n * 2)) * Math.PI * 2;
    const rr = i % 2 === 0 ? r : r - 5;
    return `${i === 0 ? 'M' : 'L'}${(cx + rr * Math.cos(a)).toFixed(1)} ${(cy + rr * Math.sin(a)).toFixed(1)}`;
  }).join('') + 'Z';

const wheel = (cx: number, cy: number, r: number): ReactNode => (
  <>
    <circle {...part} cx={cx} cy={cy} r={r} />
    <circle {...faint} cx={cx} cy={cy} r={r - 7} />
    <circle {...part} cx={cx} cy={cy} r={3} />
  </>
);

const bikeSide = (
  <g {...faint}>
    {wheel(56, 84, 32)}
    {wheel(164, 84, 32)}
    <path d="M56 84L98 86L142 46L84 42L56 84M98 86L80 30M142 46L164 84M138 34L146 58" />
  </g>
);

const figures: Record<SurveyFigure, ReactNode> = {
  magnet: (
    <>
      <path {...part} d="M18 96L150 42L158 58L26 112Z" />
      <path {...tool} d="M96 22h34v26a17 17 0 0 1-34 0zM104 22v24a9 9 0 0 0 18 0V22" transform="rotate(-22 113 40)" />
      <path {...read} d="M88 62l-6 8M100 66l-3 9M84 52l-10 3" />
    </>
  ),
  lean: bikeSide,
  shell: (
    <>
      <path {...part} d="M70 40h80v50H70z" />
      <path {...faint} d="M70 48h80M70 82h80M60 44h10M150 44h10M60 86h10M150 86h10" />
      <Caliper x1={70} x2={150} y={62} beam={24} />
      <Span x1={70} y1={104} x2={150} y2={104} />
    </>
  ),
  bore: (
    <>
      <circle {...part} cx="110" cy="66" r="42" />
      <circle {...part} cx="110" cy="66" r="29" />
      <path {...tool} d="M81 66l8-3v6zM139 66l-8-3v6z" />
      <Span x1={82} y1={66} x2={138} y2={66} />
      <path {...faint} d="M110 16v100M60 66h100" strokeDasharray="8 3 2 3" />
    </>
  ),
  spacing: (
    <>
      <path {...part} d="M52 20h10v66c0 8-2 14-6 20h-8c4-8 4-14 4-20zM168 20h-10v66c0 8 2 14 6 20h8c-4-8-4-14-4-20z" />
      <path {...faint} d="M62 92h96" strokeDasharray="8 3 2 3" />
      <Span x1={62} y1={74} x2={158} y2={74} />
    </>
  ),
  slotWidth: (
    <>
      <path {...part} d="M40 30h140v76H124V76a14 14 0 0 0-28 0v30H40z" />
      <Span x1={96} y1={98} x2={124} y2={98} />
      <path {...tool} d="M96 118l-4-12h4zM124 118l4-12h-4zM78 118h70v8H78z" />
    </>
  ),
  slotDepth: (
    <>
      <path {...part} d="M40 22h140v84H124V58a14 14 0 0 0-28 0v48H40z" />
      <path {...faint} d="M96 106h44M110 44h34" />
      <Span x1={138} y1={44} x2={138} y2={106} />
    </>
  ),
  thickness: (
    <>
      <path {...part} d="M96 16h14v88H96z" />
      <path {...faint} d="M96 60h14" />
      <Caliper x1={96} x2={110} y={84} beam={120} />
      <Span x1={72} y1={40} x2={96} y2={40} />
      <Span x1={134} y1={40} x2={110} y2={40} />
    </>
  ),
  holding: (
    <>
      <path {...part} d="M14 34h58v26H40a7 7 0 0 0 0 14h32v20H14z" />
      <path {...part} d="M90 26h46v60h-15V64a8 8 0 0 0-16 0v22H90z" />
      <path {...part} d="M152 26h52v64h-52z" />
      <circle {...part} cx="178" cy="58" r="10" />
      <text x="42" y="114">
        horizontal
      </text>
      <text x="113" y="114">
        vertical
      </text>
      <text x="178" y="114">
        closed
      </text>
    </>
  ),
  sidewall: (
    <>
      <path {...part} d="M10 118a100 100 0 0 1 200 0" />
      <path {...part} d="M48 118a62 62 0 0 1 124 0" />
      <path id="sidewall-arc" d="M30 112a81 81 0 0 1 160 0" fill="none" />
      <text className="fig-big">
        <textPath href="#sidewall-arc" startOffset="50%">
          37-622 · 28 × 1⅜
        </textPath>
      </text>
    </>
  ),
  brakeKinds: (
    <>
      <g transform="translate(2 8)">
        {wheel(36, 56, 30)}
        <path {...tool} d="M20 20h8v14h-8zM44 20h8v14h-8z" />
        <text x="36" y="108">
          rim
        </text>
      </g>
      <g transform="translate(74 8)">
        {wheel(36, 56, 30)}
        <circle {...read} cx="36" cy="56" r="15" />
        <path {...tool} d="M44 40h10v12H44z" />
        <text x="36" y="108">
          disc
        </text>
      </g>
      <g transform="translate(146 8)">
        {wheel(36, 56, 30)}
        <circle {...tool} cx="36" cy="56" r="12" />
        <path {...tool} d="M36 66l20 10" />
        <text x="36" y="108">
          in the hub
        </text>
      </g>
    </>
  ),
  cogs: (
    <Pair
      left={
        <>
          <path {...part} d={teethRing(45, 46, 38, 18)} />
          <circle {...part} cx="45" cy="46" r="13" />
          <path {...tool} d="M39 34h12M39 58h12M33 40v12M57 40v12" />
          <text x="45" y="104">
            fitting stands still
          </text>
        </>
      }
      right={
        <>
          <path {...part} d={teethRing(45, 46, 38, 18)} />
          <circle {...part} cx="45" cy="46" r="16" />
          <path {...tool} d={teethRing(45, 46, 14, 10)} />
          <text x="45" y="104">
            ring turns with them
          </text>
        </>
      }
    />
  ),
  teeth: (
    <>
      <path {...part} d={teethRing(110, 64, 52, 24)} />
      <circle {...part} cx="110" cy="64" r="12" />
      <circle className="fig-dot" cx="110" cy="12" r="3" />
      <path {...read} d="M120 10a54 54 0 0 1 44 40" />
      <path className="fig-head" d="M165 54l-5-8 8-1z" />
      <text x="110" y="68" className="fig-big">
        count
      </text>
    </>
  ),
  clicks: (
    <>
      <path {...part} d="M20 84h92v18H20zM112 78h40v30h-40z" />
      <path {...faint} d="M118 84v18M126 84v18M134 84v18M142 84v18" />
      <path {...read} d="M128 70a32 32 0 0 1 44 14" />
      <path className="fig-head" d="M175 90l-7-6 8-3z" />
      <text x="110" y="44" className="fig-big">
        1 · 2 · 3 · 4 · …
      </text>
    </>
  ),
  inside: (
    <>
      <path {...part} d="M88 108L64 30L168 22Z" />
      <path {...faint} d="M88 118L54 22L184 12Z" />
      <Span x1={88} y1={104} x2={66} y2={32} />
      <Span x1={68} y1={33} x2={163} y2={25} />
      <Span x1={91} y1={103} x2={163} y2={27} />
    </>
  ),
  tubeLength: (
    <>
      <path {...part} d="M40 92L150 26L158 38L48 104Z" />
      <circle {...part} cx="42" cy="98" r="16" />
      <circle {...part} cx="42" cy="98" r="3" />
      <Span x1={32} y1={84} x2={142} y2={18} />
    </>
  ),
  angle: (
    <>
      <path {...part} d="M96 108L68 22M106 105L78 19" />
      <path {...faint} d="M20 112h180" />
      <path {...read} d="M140 112a44 44 0 0 0-52-42" />
      <g {...tool} transform="rotate(-108 84 58)">
        <path d="M60 50h40v16H60z" />
        <circle cx="80" cy="58" r="5" />
      </g>
    </>
  ),
  height: (
    <>
      <g transform="translate(0 -6)">{bikeSide}</g>
      <path {...part} d="M10 112h200" />
      <circle {...read} cx="98" cy="80" r="5" />
      <Span x1={98} y1={86} x2={98} y2={112} />
    </>
  ),
  span: (
    <>
      {bikeSide}
      <Span x1={56} y1={122} x2={164} y2={122} />
    </>
  ),
  track: (
    <>
      <path {...part} d="M44 30h14v60H44zM162 30h14v60h-14z" />
      <path {...faint} d="M58 60h104M110 60V24" />
      <path {...part} d="M14 92h192" />
      <Span x1={51} y1={106} x2={169} y2={106} />
    </>
  ),
  scale: (
    <>
      <g transform="translate(0 -14)">{bikeSide}</g>
      <path {...tool} d="M30 102h54v14H30zM140 102h54v14h-54z" />
      <path {...read} d="M48 109h18M158 109h18" />
    </>
  ),
  plate: (
    <>
      <path {...part} d="M40 28h140v76H40z" />
      <circle {...part} cx="50" cy="38" r="3" />
      <circle {...part} cx="170" cy="94" r="3" />
      <path {...faint} d="M60 54h60M60 84h80" />
      <text x="110" y="74" className="fig-big">
        <Words>MAX 140 kg</Words>
      </text>
    </>
  ),
  round: (
    <>
      <circle {...part} cx="110" cy="72" r="26" />
      <circle {...faint} cx="110" cy="72" r="22" />
      <Caliper x1={84} x2={136} y={72} beam={24} />
      <Span x1={84} y1={112} x2={136} y2={112} />
    </>
  ),
  bosses: (
    <>
      <path {...part} d="M30 96L164 26L174 44L40 114Z" />
      <circle {...part} cx="78" cy="82" r="6" />
      <circle {...part} cx="130" cy="55" r="6" />
      <Span x1={68} y1={64} x2={120} y2={37} />
    </>
  ),
  cable: (
    <>
      <path {...part} d="M96 20L84 92M108 22L98 92" />
      <circle {...part} cx="92" cy="98" r="18" />
      <path {...part} d="M110 94L200 84M110 104L200 98" />
      <path {...read} d="M120 10L112 84C108 122 86 124 70 108" />
      <path {...tool} d="M112 106a12 12 0 0 1-18 12l4-8z" />
    </>
  ),
  crank: (
    <>
      <circle {...part} cx="58" cy="44" r="18" />
      <path {...tool} d="M52 38h12v12H52z" />
      <path {...part} d="M66 58L150 104M76 46L158 92" />
      <circle {...part} cx="158" cy="100" r="10" />
      <Span x1={52} y1={62} x2={150} y2={116} />
    </>
  ),
  boltCircle: (
    <>
      <circle {...faint} cx="110" cy="66" r="38" />
      {[0, 1, 2, 3, 4].map((i) => (
        <circle
          key={i}
          {...part}
          cx={110 + 38 * Math.sin((i * 2 * Math.PI) / 5)}
          cy={66 - 38 * Math.cos((i * 2 * Math.PI) / 5)}
          r="6"
        />
      ))}
      <Span x1={110} y1={28} x2={146} y2={54} />
    </>
  ),
  room: (
    <>
      <circle {...part} cx="72" cy="84" r="16" />
      <path {...part} d="M80 70L176 14M88 80L184 26" />
      <path {...faint} d="M72 84m0-52a52 52 0 0 1 50 40" strokeDasharray="4 3" />
      <Span x1={72} y1={84} x2={116} y2={58} />
      <path {...tool} d="M118 66a16 16 0 1 0 0.1 0" />
    </>
  ),
  tyreRoom: (
    <>
      <path {...part} d="M62 16h10v100H62zM148 16h10v100h-10z" />
      <path {...part} d="M92 112V58a18 18 0 0 1 36 0v54z" />
      <Span x1={72} y1={46} x2={148} y2={46} />
    </>
  ),
  rim: (
    <>
      <path
        {...part}
        d="M58 30h12v26c0 6 6 10 12 12l22 34h12l22-34c6-2 12-6 12-12V30h12v30c0 12-8 18-18 20l-24 36h-20l-24-36c-10-2-18-8-18-20z"
      />
      <path {...read} d="M88 66h44" />
      <Span x1={70} y1={36} x2={150} y2={36} />
    </>
  ),
  rotor: (
    <Pair
      left={
        <>
          <circle {...part} cx="45" cy="46" r="38" />
          <circle {...part} cx="45" cy="46" r="18" />
          {[0, 1, 2, 3, 4, 5].map((i) => (
            <circle
              key={i}
              {...tool}
              cx={45 + 13 * Math.cos((i * Math.PI) / 3)}
              cy={46 + 13 * Math.sin((i * Math.PI) / 3)}
              r="2.6"
            />
          ))}
          <text x="45" y="104">
            six bolts
          </text>
        </>
      }
      right={
        <>
          <circle {...part} cx="45" cy="46" r="38" />
          <path {...tool} d={teethRing(45, 46, 18, 16)} />
          <text x="45" y="104">
            splined
          </text>
        </>
      }
    />
  ),
  caliper: (
    <>
      <path {...part} d="M104 10h5v112h-5z" />
      <path {...part} d="M84 28h20v36H84zM109 28h24v36h-24z" />
      <path {...faint} d="M150 20v96M150 40l36 8v40l-36 8" />
      <Span x1={109} y1={80} x2={133} y2={80} />
      <text x="104" y="128">
        rotor
      </text>
      <text x="172" y="116">
        motor
      </text>
    </>
  ),
  lever: (
    <Pair
      left={
        <>
          <path {...part} d="M0 40h96v12H0z" />
          <path {...tool} d="M60 36h12v20H60zM60 56C40 70 20 74 2 70" />
          <path {...read} d="M80 36h12v20H80z" />
          <text x="45" y="100">
            a clamp each
          </text>
        </>
      }
      right={
        <>
          <path {...part} d="M0 40h96v12H0z" />
          <path {...tool} d="M54 32h40v28H54zM58 60C40 72 20 76 2 72" />
          <text x="45" y="100">
            one piece
          </text>
        </>
      }
    />
  ),
  bar: (
    <>
      <path {...part} d="M14 70h86c18 0 22-22 40-22h66" />
      <path {...part} d="M14 82h90c18 0 22-22 40-22h62" />
      <path {...tool} d="M14 66h48v20H14zM68 64h10v24H68zM84 64h12v24H84z" />
      <Span x1={14} y1={104} x2={104} y2={104} />
    </>
  ),
  fork: (
    <Pair
      left={
        <>
          <path {...part} d="M40 4h10v20l-8 70h-8l2-70zM50 24l12 70" />
          <text x="45" y="108">
            rigid
          </text>
        </>
      }
      right={
        <>
          <path {...part} d="M38 4h14v46H38zM34 50h22v44H34z" />
          <path {...read} d="M68 30v40" />
          <path className="fig-head" d="M68 24l-4 8h8zM68 76l-4-8h8z" />
          <text x="45" y="108">
            legs slide
          </text>
        </>
      }
    />
  ),
  shock: (
    <>
      <path {...part} d="M40 108L150 40M40 108L66 24L150 40" />
      <g {...tool}>
        <path d="M86 52L112 78M80 58l12-12M106 84l12-12" />
        <path d="M90 48l-8 20 20-12-6 20 18-10" />
      </g>
      <path {...read} d="M180 64v40" />
      <path className="fig-head" d="M180 58l-4 8h8zM180 110l-4-8h8z" />
    </>
  ),
  stand: (
    <>
      <g transform="translate(0 -8)">{bikeSide}</g>
      <path {...tool} d="M96 82L80 112M96 82L112 112" />
      <path {...part} d="M10 114h200" />
    </>
  ),
  slack: (
    <>
      <path {...part} d="M60 16L92 44M92 44L120 100" />
      <path {...part} d="M30 26h60" />
      <path {...read} d="M40 30C60 80 100 40 108 100" />
      <path {...faint} d="M60 16L40 40" strokeDasharray="3 3" />
      <path {...tool} d="M66 10a34 34 0 0 1 34 16" />
    </>
  ),
  driven: (
    <>
      <path {...part} d="M44 24h16v66H44zM160 24h16v66h-16z" />
      <path {...faint} d="M60 58h100" />
      <path {...tool} d="M100 40h8v36h-8z" />
      <path {...read} d="M52 16a60 60 0 0 1 4-4M40 104c-8-6-8-10-4-16" />
      <text x="110" y="112">
        which turn with the cranks?
      </text>
    </>
  ),
  timing: (
    <>
      <circle {...part} cx="56" cy="66" r="26" />
      <circle {...part} cx="164" cy="66" r="26" />
      <path {...read} d="M56 40h108M56 92h108" strokeDasharray="5 3" />
      <text x="110" y="122">
        rear cranks to front cranks
      </text>
    </>
  ),
};

/** The small drawing that goes with a survey item: where to put tape or caliper, or what to look at. */
export function FigureFor({ figure, label }: { figure: SurveyFigure; label: string }) {
  return (
    <svg className="howto-figure" viewBox="0 0 220 132" role="img" aria-label={`How to take it: ${label}`}>
      {figures[figure]}
    </svg>
  );
}
