import type { StepFigureId } from '@sprocket/core';
import type { ReactNode } from 'react';
import { Arrow, faint, hex, part, read, RightWrong, tool, Word } from './pieces.tsx';

/** A dropout with its slot, and an axle's flats in it. */
const seat = (down: number): ReactNode => (
  <>
    <path {...part} d="M14 18H96V44L68 66V98H60V66a5 5 0 0 0 -10 0V98H42V66L14 44Z" />
    <path {...tool} d={`M50.5 ${66 + down}h9v13h-9z`} />
  </>
);

const rim = <path {...part} d="M22 26q6 -4 8 4l6 44q30 22 74 22t74 -22l6 -44q2 -8 8 -4M46 84q28 24 64 24t64 -24" />;

/** Drawings about the wheel, its axle and its brake. */
export const wheelFigures = {
  'axle-stack': (
    <>
      <path {...faint} d="M8 66H214" strokeDasharray="8 4" />
      <path {...part} d="M8 24H34V108H8Z" />
      <Word x={21} y={122}>
        hub
      </Word>
      <path {...tool} d="M44 40h12v52h-12z" />
      <Word x={53} y={107}>
        spacer
      </Word>
      <path {...part} d="M70 12h12v108h-12z" />
      <Word x={76} y={9}>
        frame
      </Word>
      <path {...tool} d="M94 38h9v56h-9zM85 60h9v12h-9z" />
      <Word x={100} y={126}>
        tongue in slot
      </Word>
      <path {...part} d="M118 30h10v84h-10z" />
      <Word x={123} y={26}>
        arm
      </Word>
      <path {...tool} d="M144 42h7v48h-7z" />
      <Word x={150} y={38}>
        washer
      </Word>
      <path {...part} d="M166 40h26v52h-26zM166 57h26M166 75h26" />
      <Word x={180} y={108}>
        nut
      </Word>
    </>
  ),
  'arm-on-flats': (
    <>
      <path {...part} d={hex(70, 66, 30)} />
      <path {...faint} d="M70 66m-17 0a17 17 0 1 0 34 0a17 17 0 1 0 -34 0" />
      <path {...tool} d="M56 54h28v24h-28z" />
      <path {...part} d="M46 40q24 -16 48 0l96 18v16l-96 18q-24 16 -48 0" />
      <path {...part} d="M184 50v40M176 56h16M176 82h16" />
      <Word x={70} y={18}>
        flats filled
      </Word>
      <Arrow d="M150 100q-28 8 -52 2" head={[96, 102]} turn={190} />
      <Word x={160} y={123}>
        pushed first, then tight
      </Word>
    </>
  ),
  'slot-washer': (
    <RightWrong
      right={
        <>
          {seat(-4)}
          <path {...read} d="M55 40m-26 22a26 26 0 1 0 52 0a26 26 0 1 0 -52 0M50 76h10v14h-10z" />
        </>
      }
      wrong={
        <>
          {seat(-4)}
          <path {...read} d="M55 40m-26 22a26 26 0 1 0 52 0a26 26 0 1 0 -52 0M50 24h10v14h-10z" />
        </>
      }
    />
  ),
  'recessed-tip': (
    <RightWrong
      right={
        <>
          <path {...part} d="M40 12v96h14V82h-6V42h6V12Z" />
          <path {...tool} d="M48 43h6v38h-6z" />
          <path {...tool} d="M56 30h8v64h-8z" />
          <path {...part} d="M66 40h18v44h-18z" />
        </>
      }
      wrong={
        <>
          <path {...part} d="M40 12v96h14V82h-6V42h6V12Z" />
          <path {...tool} d="M54 26l8 4v64l-8 4z" />
          <path {...read} d="M48 44v36" strokeDasharray="3 3" />
          <path {...part} d="M66 40h18v44h-18z" />
        </>
      }
    />
  ),
  'wheel-home': (
    <RightWrong
      right={
        <>
          {seat(-4)}
          <Arrow d="M80 110V84" head={[80, 80]} turn={-90} />
        </>
      }
      wrong={
        <>
          {seat(14)}
          <path {...read} d="M70 68v12M66 68h8M66 80h8" />
        </>
      }
    />
  ),
  'lead-down': (
    <RightWrong
      right={
        <>
          <circle {...part} cx={52} cy={46} r={26} />
          <circle {...tool} cx={52} cy={46} r={8} />
          <path {...read} d="M52 54v32q0 22 22 18t20 -40l6 -46" strokeWidth={3} />
          <path className="fig-dot" d="M60 106q-5 8 0 12q5 -4 0 -12z" />
        </>
      }
      wrong={
        <>
          <circle {...part} cx={52} cy={46} r={26} />
          <circle {...tool} cx={52} cy={46} r={8} />
          <path {...read} d="M52 38q4 -24 22 -20t22 4" strokeWidth={3} />
          <path className="fig-dot" d="M70 8q-5 8 0 12q5 -4 0 -12z" />
        </>
      }
    />
  ),
  'rim-tape': (
    <RightWrong
      right={
        <>
          <path {...part} d="M12 30h86M12 100h86M20 30v70M90 30v70" />
          <path {...tool} d="M34 30h42v70h-42z" />
          {[48, 66, 84].map((y) => (
            <circle key={y} {...faint} cx={55} cy={y} r={6} />
          ))}
        </>
      }
      wrong={
        <>
          <path {...part} d="M12 30h86M12 100h86M20 30v70M90 30v70" />
          <path {...tool} d="M46 30h42v70h-42z" />
          {[48, 66, 84].map((y) => (
            <circle key={y} className="fig-cross" cx={48} cy={y} r={6} />
          ))}
        </>
      }
    />
  ),
  'finger-rim': (
    <>
      {rim}
      <path className="fig-cross" d="M98 94l5 -9 4 9M132 93l4 -9 5 8" />
      <path {...tool} d="M132 20q-12 2 -14 16l-4 36q0 10 8 10t9 -9l4 -24 26 4q12 -2 14 -16l2 -20Z" />
      <Arrow d="M96 72q-24 -2 -38 -14" head={[55, 56]} turn={216} />
      <Word x={110} y={14}>
        sharp edges catch
      </Word>
    </>
  ),
  'little-air': (
    <>
      <path {...part} d="M20 30q90 92 180 0" />
      <path {...part} d="M8 24q102 112 204 0" />
      <path {...tool} d="M34 36q76 68 152 0q-6 12 -20 22q-56 36 -112 0q-14 -10 -20 -22z" />
      <path {...read} d="M110 78v34M104 112h12" />
      <Word x={110} y={123}>
        round, not stretched
      </Word>
    </>
  ),
  'bead-line': (
    <RightWrong
      right={
        <>
          <path {...part} d="M6 104q50 -70 100 -0" />
          <path {...part} d="M6 84q50 -72 100 0" />
          <path {...read} d="M6 92q50 -70 100 0" strokeDasharray="2 3" />
        </>
      }
      wrong={
        <>
          <path {...part} d="M6 104q50 -70 100 -0" />
          <path {...part} d="M6 84q50 -72 100 0" />
          <path {...read} d="M6 92q22 -32 38 -36t14 14t20 -10t28 32" strokeDasharray="2 3" />
        </>
      }
    />
  ),
  dish: (
    <>
      <path {...faint} d="M110 6V124" strokeDasharray="5 4" />
      <path {...part} d="M98 12h24v10h-24zM66 100h88M66 92v16M154 92v16" />
      <path {...part} d="M104 22L82 92M116 22L138 92" />
      <path {...tool} d="M76 88h12v24h-12zM132 88h12v24h-12z" />
      <path {...read} d="M66 118h44M110 118h44M66 114v8M110 114v8M154 114v8" />
      <Word x={170} y={20} at="start">
        rim
      </Word>
      <Word x={28} y={104}>
        alike
      </Word>
    </>
  ),
  'rotor-bolts': (
    <>
      <circle {...part} cx={110} cy={66} r={54} />
      <circle {...faint} cx={110} cy={66} r={40} />
      {[0, 3, 1, 4, 2, 5].map((k, i) => {
        const a = (k / 6) * Math.PI * 2 - Math.PI / 2;
        const [x, y] = [110 + 24 * Math.cos(a), 66 + 24 * Math.sin(a)];
        return (
          <g key={k}>
            <circle {...tool} cx={x} cy={y} r={9} />
            <Word x={x} y={y + 4}>
              {String(i + 1)}
            </Word>
          </g>
        );
      })}
      <Arrow d="M160 20q22 14 24 40" head={[184, 64]} turn={88} />
    </>
  ),
  'caliper-centre': (
    <RightWrong
      right={
        <>
          <path {...part} d="M18 8h72v22h-22v50h22v22h-72z" />
          <path {...tool} d="M36 32h12v46h-12zM60 32h12v46h-12z" />
          <path {...read} d="M54 4v100" strokeWidth={3} />
        </>
      }
      wrong={
        <>
          <path {...part} d="M18 8h72v22h-22v50h22v22h-72z" />
          <path {...tool} d="M36 32h12v46h-12zM60 32h12v46h-12z" />
          <path {...read} d="M50 4v100" strokeWidth={3} transform="rotate(-4 50 60)" />
        </>
      }
    />
  ),
  'pads-rim': (
    <RightWrong
      right={
        <>
          <path {...part} d="M8 40q46 -22 94 0M8 66q46 -22 94 0" />
          <path {...faint} d="M8 22q46 -22 94 0" />
          <path {...tool} d="M30 40q26 -8 50 0v12q-24 -8 -50 0z" />
          <Word x={55} y={92}>
            all on the rim
          </Word>
        </>
      }
      wrong={
        <>
          <path {...part} d="M8 40q46 -22 94 0M8 66q46 -22 94 0" />
          <path {...faint} d="M8 22q46 -22 94 0" />
          <path {...tool} d="M30 24q26 -8 50 0v12q-24 -8 -50 0z" />
          <Word x={55} y={92}>
            cuts the tyre
          </Word>
        </>
      }
    />
  ),
  'marked-bolt': (
    <RightWrong
      right={
        <>
          <path {...part} d={hex(55, 58, 28)} />
          <path {...faint} d="M10 20h90v80h-90z" />
          <path className="fig-mark" d="M55 58V14" />
        </>
      }
      wrong={
        <>
          <path {...part} d={hex(55, 58, 28)} transform="rotate(22 55 58)" />
          <path {...faint} d="M10 20h90v80h-90z" />
          <path className="fig-mark" d="M55 58L66 32M55 28V14" />
        </>
      }
    />
  ),
} satisfies Partial<Record<StepFigureId, ReactNode>>;
