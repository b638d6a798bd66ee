import type { StepFigureId } from '@sprocket/core';
import type { ReactNode } from 'react';
import { Arrow, faint, part, read, RightWrong, tool, Word } from './pieces.tsx';

/** Drawings about bar, battery and leads. */
export const leadFigures = {
  'cutoff-magnet': (
    <>
      <path {...part} d="M10 30h120v14H10z" />
      <path {...part} d="M40 44q60 6 150 60l-8 12q-90 -56 -142 -54z" />
      <path {...tool} d="M62 46h18v12h-18z" />
      <path {...tool} d="M66 64l18 4 -3 12 -18 -4z" />
      <path {...read} d="M96 46v30M92 46h8M92 76h8" />
      <Word x={130} y={66} at="start">
        changes over here
      </Word>
    </>
  ),
  'grip-pull': (
    <>
      <path {...part} d="M6 50h130v28H6z" />
      <path {...tool} d="M136 44h70v40h-70z" />
      <Arrow d="M160 30a36 36 0 0 1 34 6" head={[196, 38]} turn={40} />
      <Arrow d="M190 100a36 36 0 0 1 -40 2" head={[147, 99]} turn={220} />
      <Word x={100} y={24}>
        open
      </Word>
      <Word x={100} y={112}>
        back by itself
      </Word>
    </>
  ),
  'half-grip': (
    <>
      <path {...faint} d="M6 56h208v18H6z" />
      <path {...tool} d="M64 44h60v42h-60z" />
      <path {...part} d="M128 42h80v46h-80z" />
      <path {...read} d="M124 96v14M128 96v14" />
      <Word x={94} y={36}>
        throttle
      </Word>
      <Word x={168} y={36}>
        grip cut
      </Word>
      <Word x={126} y={123}>
        a millimetre of air
      </Word>
    </>
  ),
  'grip-air': (
    <>
      <path {...faint} d="M6 58h208v16H6z" />
      <path {...part} d="M70 46h130v40H70z" />
      <path {...tool} d="M30 84L128 60l2 5L32 90z" />
      <path className="fig-dot" d="M40 66q-6 9 0 14q6 -5 0 -14zM52 58q-6 9 0 14q6 -5 0 -14z" />
      <Word x={120} y={112}>
        rod in, water along it
      </Word>
    </>
  ),
  'bar-clamp': (
    <>
      <path {...part} d="M6 70h70v16H6zM144 70h70v16h-70z" />
      <circle {...part} cx={110} cy={78} r={28} />
      <circle {...faint} cx={110} cy={78} r={14} />
      <path {...tool} d="M82 22h56l-8 24H90z" />
      <Arrow d="M110 22V46" head={[110, 50]} turn={90} />
      <Word x={110} y={16}>
        adapter before the clamp is shut
      </Word>
    </>
  ),
  'holder-bolt': (
    <RightWrong
      right={
        <>
          <path {...part} d="M10 56h90v10H10z" />
          <path {...tool} d="M46 40h18v8h-18zM51 48h8v28h-8z" />
          <path {...faint} d="M10 92h90" strokeDasharray="3 3" />
          <Word x={55} y={30}>
            ends in air
          </Word>
        </>
      }
      wrong={
        <>
          <path {...part} d="M10 56h90v10H10z" />
          <path {...tool} d="M46 40h18v8h-18zM51 48h8v52h-8z" />
          <path {...read} d="M16 86h78v22H16z" />
          <Word x={55} y={30}>
            meets a cell
          </Word>
        </>
      }
    />
  ),
  'plug-arrows': (
    <>
      <path {...part} d="M8 46h36v36H8zM44 40h46v48H44z" />
      <path {...part} d="M176 46h36v36h-36zM130 40h46v48h-46z" />
      <path {...tool} d="M70 58l14 6 -14 6zM150 58l-14 6 14 6z" />
      <Arrow d="M92 104h30" head={[126, 104]} turn={0} />
      <Word x={110} y={24}>
        arrow to arrow, then push
      </Word>
    </>
  ),
  'drip-loop': (
    <RightWrong
      right={
        <>
          <path {...part} d="M58 24h40v36H58z" />
          <path {...read} d="M10 20q4 80 36 84t42 -44" strokeWidth={3} />
          <path className="fig-dot" d="M46 106q-5 8 0 13q5 -5 0 -13z" />
        </>
      }
      wrong={
        <>
          <path {...part} d="M58 64h40v36H58z" />
          <path {...read} d="M10 20q40 4 66 44" strokeWidth={3} />
          <path className="fig-dot" d="M66 40q-5 8 0 13q5 -5 0 -13z" />
        </>
      }
    />
  ),
  'full-lock': (
    <>
      <path {...part} d="M96 66h28v58H96z" />
      <path {...faint} d="M20 66h180" strokeWidth={3} />
      <path {...part} d="M40 22L180 108" strokeWidth={4} />
      <path {...read} d="M110 96q-46 -6 -50 -60" strokeWidth={3} />
      <Arrow d="M176 46a66 66 0 0 1 6 40" head={[180, 90]} turn={104} />
      <Word x={168} y={24}>
        to both stops
      </Word>
    </>
  ),
  'fold-leads': (
    <>
      <path {...part} d="M6 58h88v18H6zM126 58h88v18h-88z" />
      <circle {...tool} cx={110} cy={58} r={12} />
      <path {...read} d="M6 84h70q14 0 18 18t30 10 12 -28h78" strokeWidth={3} />
      <Word x={110} y={30}>
        a bow outside the hinge
      </Word>
    </>
  ),
  'tie-end': (
    <RightWrong
      right={
        <>
          <circle {...part} cx={50} cy={60} r={30} />
          <path {...tool} d="M72 48h18v18h-18z" />
          <path {...read} d="M50 26a34 34 0 1 0 24 56" strokeWidth={3} />
        </>
      }
      wrong={
        <>
          <circle {...part} cx={50} cy={60} r={30} />
          <path {...tool} d="M72 48h18v18h-18z" />
          <path {...read} d="M50 26a34 34 0 1 0 24 56" strokeWidth={3} />
          <path className="fig-cross" d="M90 52l16 -12M90 58l18 -4" />
        </>
      }
    />
  ),
  poles: (
    <>
      <path {...part} d="M14 30h70v70H14z" />
      <circle {...tool} cx={36} cy={64} r={12} />
      <circle {...faint} cx={64} cy={64} r={12} />
      <Word x={36} y={69}>
        +
      </Word>
      <Word x={64} y={69}>
        −
      </Word>
      <path {...part} d="M126 20h80v92h-80z" />
      <path {...faint} d="M136 30h60v30h-60z" />
      <Word x={166} y={51}>
        41.8 V
      </Word>
      <path {...read} d="M36 52q20 -46 104 -24M64 76q20 52 84 24" strokeWidth={2.4} />
      <Word x={166} y={94}>
        no minus
      </Word>
    </>
  ),
  'fuse-near': (
    <>
      <path {...part} d="M8 34h62v62H8z" />
      <Word x={39} y={70}>
        battery
      </Word>
      <path {...read} d="M70 50h26M132 50h80" strokeWidth={3} />
      <path {...tool} d="M96 40h36v20h-36z" />
      <path {...faint} d="M70 80h142" strokeWidth={3} />
      <path {...read} d="M70 104h26M70 98v12M96 98v12" />
      <Word x={150} y={112}>
        a hand’s width
      </Word>
      <Word x={86} y={34}>
        +
      </Word>
    </>
  ),
  'roll-out': (
    <>
      <path {...part} d="M4 112H216" />
      <circle {...part} cx={46} cy={68} r={42} />
      <circle {...faint} cx={170} cy={68} r={42} strokeDasharray="4 4" />
      <circle className="fig-dot" cx={46} cy={108} r={4} />
      <circle className="fig-dot" cx={170} cy={108} r={4} />
      <path {...read} d="M46 122h124M46 117v10M170 117v10" />
      <Arrow d="M84 22q24 -12 48 0" head={[136, 25]} turn={32} />
    </>
  ),
} satisfies Partial<Record<StepFigureId, ReactNode>>;
