import type { StepFigureId } from '@sprocket/core';
import type { ReactNode } from 'react';
import { Arrow, Both, faint, part, read, RightWrong, teeth, tool, Word } from './pieces.tsx';

/** Drawings about bracket, chain and sensors. */
export const driveFigures = {
  'toothed-plate': (
    <RightWrong
      right={
        <>
          <path {...part} d="M10 26h38v78H10z" />
          <path {...tool} d="M60 22h16v86H60l-8 -6 8 -8 -8 -8 8 -8 -8 -8 8 -8 -8 -8 8 -8 -8 -8 8 -8z" />
          <Word x={29} y={18}>
            shell
          </Word>
        </>
      }
      wrong={
        <>
          <path {...part} d="M10 26h38v78H10z" />
          <path {...tool} d="M50 22h16l8 6 -8 8 8 8 -8 8 8 8 -8 8 8 8 -8 8 8 8 -8 8H50z" />
          <Word x={29} y={18}>
            slides
          </Word>
        </>
      }
    />
  ),
  'case-up': (
    <>
      <path {...part} d="M8 92L170 8L178 24L16 108Z" />
      <circle {...part} cx={44} cy={96} r={16} />
      <path {...tool} d="M44 74L126 42a24 24 0 0 1 12 46L52 118a22 22 0 0 1 -8 -44z" />
      <Arrow d="M150 116V92" head={[150, 86]} turn={-90} />
      <Word x={178} y={112} at="middle">
        held up
      </Word>
      <path {...read} d="M128 34l14 8" strokeWidth={4} />
    </>
  ),
  'two-rings': (
    <>
      <path {...part} d="M8 30h50v74H8zM58 42h150v50H58M70 42v50M82 42v50M94 42v50" />
      <path {...tool} d="M104 30h26v74h-26zM136 30h20v74h-20z" />
      <Word x={117} y={24}>
        1st
      </Word>
      <Word x={147} y={24}>
        2nd
      </Word>
      <Arrow d="M104 110h52" head={[104, 110]} turn={180} />
      <Word x={130} y={125}>
        one against the other
      </Word>
    </>
  ),
  'thread-hands': (
    <Both
      left={
        <>
          <circle {...part} cx={55} cy={62} r={26} />
          <path {...tool} d="M30 54h50v16h-50z" transform="rotate(-24 55 62)" />
          <Arrow d="M26 34a42 42 0 0 1 58 0" head={[24, 37]} turn={132} />
          <Word x={55} y={116}>
            left: on this way
          </Word>
        </>
      }
      right={
        <>
          <circle {...part} cx={55} cy={62} r={26} />
          <path {...tool} d="M30 54h50v16h-50z" transform="rotate(24 55 62)" />
          <Arrow d="M26 34a42 42 0 0 1 58 0" head={[86, 37]} turn={48} />
          <Word x={55} y={116}>
            right: on this way
          </Word>
        </>
      }
    />
  ),
  'crank-puller': (
    <>
      <path {...part} d="M20 16h46v98H20zM66 40h26v50H66" />
      <path {...tool} d="M66 46h50v38H66M116 54h34v22h-34zM150 34h14v62h-14z" />
      <path {...read} d="M72 40v50M78 40v50M84 40v50M90 40v50" />
      <Word x={150} y={24}>
        in to the last thread
      </Word>
      <Arrow d="M184 92a28 28 0 0 0 0 -54" head={[182, 36]} turn={200} />
    </>
  ),
  'chain-line': (
    <RightWrong
      right={
        <>
          <path {...part} d="M20 14h8v84h-8z" />
          {[0, 1, 2, 3, 4].map((i) => (
            <path key={i} {...faint} d={`M${78 + i * 4} ${34 + i * 3}v${64 - i * 6}`} strokeWidth={2.4} />
          ))}
          <path {...read} d="M24 66H86" strokeDasharray="5 3" strokeWidth={2.4} />
        </>
      }
      wrong={
        <>
          <path {...part} d="M20 14h8v84h-8z" />
          {[0, 1, 2, 3, 4].map((i) => (
            <path key={i} {...faint} d={`M${78 + i * 4} ${34 + i * 3}v${64 - i * 6}`} strokeWidth={2.4} />
          ))}
          <path {...read} d="M24 96L94 44" strokeDasharray="5 3" strokeWidth={2.4} />
        </>
      }
    />
  ),
  'chain-length': (
    <>
      <path {...part} d={teeth(54, 62, 36, 22)} />
      <path {...part} d={teeth(176, 62, 26, 18)} />
      <path {...read} d="M54 26L176 36M54 98L112 94M120 93L176 88" strokeDasharray="5 2" strokeWidth={2.4} />
      <path {...tool} d="M104 86h24v16h-24z" />
      <Word x={116} y={120}>
        two links over
      </Word>
    </>
  ),
  'side-sprockets': (
    <RightWrong
      right={
        <>
          <path {...part} d="M26 20h8v36h-8zM26 78h8v36h-8z" />
          <path {...tool} d="M34 12h8v108h-8z" />
        </>
      }
      wrong={
        <>
          <path {...part} d="M26 20h8v36h-8zM38 78h8v36h-8z" />
          <path {...tool} d="M34 12h8v62l0 0 -8 0z" />
          <path {...read} d="M34 66v12M46 66v12" />
        </>
      }
    />
  ),
  'magnet-ring': (
    <>
      <circle {...part} cx={84} cy={64} r={48} />
      <circle {...faint} cx={84} cy={64} r={20} />
      {Array.from({ length: 8 }, (_, i) => {
        const a = (i / 8) * Math.PI * 2;
        return <circle key={i} {...tool} cx={84 + 36 * Math.cos(a)} cy={64 + 36 * Math.sin(a)} r={6} />;
      })}
      <path {...part} d="M144 50h44v28h-44z" />
      <path {...read} d="M132 90v20M144 90v20M124 100h8M152 100h-8" />
      <Word x={178} y={106}>
        1 to 3 mm
      </Word>
      <Arrow d="M52 12a60 60 0 0 1 62 0" head={[117, 14]} turn={34} />
    </>
  ),
  'spoke-magnet': (
    <>
      <path {...faint} d="M60 124L120 6" strokeWidth={2} />
      <path {...tool} d="M76 66l16 8 12 -24 -16 -8z" />
      <path {...part} d="M124 34h60v36h-60z" />
      <path {...read} d="M136 34v36" strokeWidth={3} />
      <Word x={154} y={56}>
        mark
      </Word>
      <path {...read} d="M104 84v14M124 84v14M104 91h20" />
      <Word x={150} y={96}>
        gap
      </Word>
    </>
  ),
  'cable-sensor': (
    <>
      <path {...part} d="M4 58h56v14H4zM160 58h56v14h-56z" />
      <path {...tool} d="M66 46h88v38H66z" />
      <path {...read} d="M4 65h212" />
      <path {...faint} d="M110 84v30" strokeWidth={2} />
      <Word x={110} y={36}>
        straight before and after
      </Word>
    </>
  ),
  'chain-slack': (
    <>
      <path {...part} d={teeth(38, 66, 18, 12)} />
      <path {...part} d={teeth(184, 66, 30, 18)} />
      <path {...read} d="M38 48L184 36" />
      <path {...part} d="M38 84q70 22 146 12" />
      <path {...faint} d="M38 84q70 2 146 12" strokeDasharray="4 3" />
      <path {...read} d="M106 88v16M101 88h10M101 104h10" />
      <Word x={110} y={122}>
        8 to 18 mm
      </Word>
    </>
  ),
} satisfies Partial<Record<StepFigureId, ReactNode>>;
