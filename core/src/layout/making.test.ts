import { NOTHING_ADDED, type Added } from '../safety/axleLoads.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack } from '../parts/pack.ts';
import { expect } from 'chai';
import fc from 'fast-check';
import { newBuild, type Build } from '../build/build.ts';
import { TAPE_TOLERANCE } from '../constants.ts';
import { commonFrame } from '../donor/common.ts';
import type { Survey } from '../donor/donor.ts';
import type { Point } from '../donor/frames/point.ts';
import { donorGeometry } from '../donor/geometry.ts';
import { fitInside } from '../donor/inside.ts';
import { vehicleKinds } from '../donor/kinds.ts';
import { dxfDrawing } from '../formats/dxf.ts';
import { readSvgOutline } from '../formats/svgOutline.ts';
import { svgDrawing, svgPage } from '../formats/svgSheet.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { balanceOf, weightBudget } from './balance.ts';
import { placeController } from './controller.ts';
import { FrameRoom } from './frameRoom.ts';
import {
  BEND_K,
  bendAllowance,
  bentLine,
  bracketSheet,
  packTemplate,
  rackBracket,
  seatBackBracket,
  unfold,
} from './mounts.ts';
import { packShape } from './packShape.ts';
import { fromPhoto, homographyOf, project, type PhotoMarks } from './photo.ts';
import { placementsOn, type Placement } from './place.ts';
import { planView } from './planView.ts';
import { pagesOf, paperSizes } from './sheet.ts';
import { sideSheet } from './sideSheet.ts';
import { trailOf, wheelChange } from './wheelChange.ts';

const entry = <T>(value: T, provenance: 'measured' | 'assumed' | 'recalled' = 'measured') => ({
  value,
  typed: '',
  unit: '',
  provenance,
  note: '',
});
const build = (change: (b: Build) => void = () => undefined): Build => {
  const b = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
  change(b);
  return b;
};
const tubes = { seat: 0.0286, top: 0.0286, down: 0.035 };
const d = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y);
const pack = (id: string) => {
  const found = starterShelf.pack.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};

/** An inside whose corners are known, and every way of measuring it. */
function known(
  a: number,
  c: number,
  phi: number,
  h: number,
): { corners: Record<'b' | 's' | 'u' | 'l', Point>; survey: Survey } {
  const b = { x: 0, y: 0 };
  const s = { x: 0, y: a };
  const l = { x: c * Math.sin(phi), y: c * Math.cos(phi) };
  const u = { x: l.x, y: l.y + h };
  const at = (p: Point, q: Point, r: Point): number =>
    Math.acos(((q.x - p.x) * (r.x - p.x) + (q.y - p.y) * (r.y - p.y)) / (d(p, q) * d(p, r)));
  return {
    corners: { b, s, u, l },
    survey: {
      seatSide: entry(a),
      downSide: entry(c),
      topSide: entry(d(s, u)),
      headSide: entry(h),
      headDiagonal: entry(d(b, u)),
      seatDiagonal: entry(d(s, l)),
      seatDownAngle: entry(phi),
      seatTopAngle: entry(at(s, b, u)),
    },
  };
}
const anyInside = fc.record({
  a: fc.double({ min: 0.28, max: 0.55, noNaN: true }),
  c: fc.double({ min: 0.42, max: 0.66, noNaN: true }),
  phi: fc.double({ min: 0.7, max: 1.15, noNaN: true }),
  h: fc.double({ min: 0.005, max: 0.12, noNaN: true }),
});
const schemes: Record<string, (keyof Survey)[]> = {
  sides: ['seatSide', 'topSide', 'downSide', 'headSide'],
  'three sides and a diagonal': ['seatSide', 'topSide', 'downSide', 'headDiagonal'],
  'sides and an angle': ['seatSide', 'downSide', 'headSide', 'seatDownAngle'],
  all: ['seatSide', 'topSide', 'downSide', 'headSide', 'headDiagonal', 'seatDiagonal', 'seatDownAngle', 'seatTopAngle'],
};

describe('the inside of a frame', () => {
  for (const [name, ids] of Object.entries(schemes))
    it(`comes out of ${name}`, () => {
      fc.assert(
        fc.property(anyInside, ({ a, c, phi, h }) => {
          const { corners, survey } = known(a, c, phi, h);
          const some = Object.fromEntries(ids.map((id) => [id, survey[id]])) as Survey;
          const fit = fitInside(some, commonFrame.diamond, tubes);
          // What loose common values still say moves a corner by less than the tape's own error.
          expect(d(fit.headLow, corners.l), name).to.be.below(Math.max(0.004, 3 * fit.errorM.headLow));
          expect(d(fit.seat, corners.s)).to.be.below(0.001);
          expect(fit.misfit).to.be.below(0.6);
        }),
        { numRuns: 60 },
      );
    });

  it('comes out of tubes taken from outside with their thickness', () => {
    const { survey } = known(0.44, 0.56, 0.95, 0.05);
    const whole = fitInside(survey, commonFrame.diamond, tubes);
    // The outside lengths of that frame, by plain trigonometry on its middle lines.
    const s = Math.sin(0.95);
    const alpha = tubes.down / 2 / s + tubes.seat / 2 / Math.tan(0.95);
    expect(whole.crank.y).to.be.closeTo(-alpha, 1e-6);
    const outside = fitInside(
      {
        seatSide: entry(0.44),
        headSide: entry(0.05),
        topSide: entry(d({ x: 0, y: 0.44 }, { x: 0.56 * s, y: 0.56 * Math.cos(0.95) + 0.05 })),
        downOutside: entry(lowEdge(0.56, 0.95)),
      },
      commonFrame.diamond,
      tubes,
    );
    expect(outside.headLow.x).to.be.closeTo(0.56 * s, 0.004);
  });
  /** Crank centre to where the down tube's lower edge meets a head tube parallel to the seat tube. */
  function lowEdge(c: number, phi: number): number {
    const beyond = tubes.down / Math.tan(phi);
    const crankBack = tubes.seat / 2 / Math.sin(phi) + tubes.down / 2 / Math.tan(phi);
    return c - beyond + crankBack;
  }

  it('says which reading is off when one is', () => {
    const { survey } = known(0.44, 0.56, 0.95, 0.05);
    const wrong = fitInside(
      { ...survey, headDiagonal: entry((survey.headDiagonal?.value ?? 0) + 0.03) },
      commonFrame.diamond,
      tubes,
    );
    expect(wrong.misfits[0]?.item).to.equal('headDiagonal');
    expect(wrong.misfit).to.be.greaterThan(2);
  });

  it('is surer with more measured, and unsure of what was not', () => {
    const { survey } = known(0.44, 0.56, 0.95, 0.05);
    const four = fitInside(
      Object.fromEntries(schemes.sides?.map((id) => [id, survey[id]]) ?? []) as Survey,
      commonFrame.diamond,
      tubes,
    );
    const all = fitInside(survey, commonFrame.diamond, tubes);
    const none = fitInside({}, commonFrame.diamond, tubes);
    expect(all.errorM.headLow).to.be.below(four.errorM.headLow);
    expect(four.errorM.headLow).to.be.below(0.01);
    expect(none.errorM.headLow).to.be.greaterThan(0.02);
  });

  it('stands on the drawing with the tubes’ faces as its sides', () => {
    fc.assert(
      fc.property(anyInside, ({ a, c, phi, h }) => {
        const { survey } = known(a, c, phi, h);
        const b = build((x) => {
          x.donor.survey = {
            seatSide: survey.seatSide,
            topSide: survey.topSide,
            downSide: survey.downSide,
            headSide: survey.headSide,
          } as Survey;
        });
        const t = donorGeometry(b.donor, 1.7).triangle;
        if (!t) throw new Error('no inside');
        expect(d(t.bracket, t.seat)).to.be.closeTo(a, 1e-6);
        expect(d(t.bracket, t.head)).to.be.closeTo(c, 1e-6);
        expect(d(t.seat, t.headUp)).to.be.closeTo(survey.topSide?.value ?? 0, 1e-6);
        const down = donorGeometry(b.donor, 1.7).tubes.find((x) => x.name === 'down tube');
        const [p, q] = [down?.points[0], down?.points.at(-1)];
        if (!p || !q) throw new Error('no down tube');
        const off = Math.abs((q.x - p.x) * (p.y - t.head.y) - (p.x - t.head.x) * (q.y - p.y)) / d(p, q);
        expect(off).to.be.closeTo((down?.diameterM ?? 0) / 2, 1e-6);
      }),
      { numRuns: 40 },
    );
  });

  it('draws every kind from nothing, and says when sizes do not close', () => {
    for (const kind of vehicleKinds) {
      const b = build((x) => (x.donor.kind = kind));
      const g = donorGeometry(b.donor, 1.7);
      expect(g.problem, kind).to.equal(null);
      for (const t of g.tubes)
        for (const p of t.points) expect(Number.isFinite(p.x + p.y), `${kind} ${t.name}`).to.equal(true);
    }
    const b = build((x) => {
      x.donor.survey = { seatSide: entry(0.2), topSide: entry(0.2), downSide: entry(0.7) };
    });
    expect(donorGeometry(b.donor, 1.7).problem).to.match(/do not close/);
  });

  it('takes a free polygon, either way round, in place of the sides', () => {
    const corners = [
      { xM: 0, yM: 0 },
      { xM: 0, yM: 0.4 },
      { xM: 0.45, yM: 0.42 },
      { xM: 0.46, yM: 0.36 },
      { xM: 0.2, yM: 0.12 },
    ];
    const laid = (flip: number) => {
      const b = build((x) => {
        x.donor.inside = {
          corners: corners.map((c) => ({ xM: c.xM * flip, yM: c.yM })),
          errorM: 0.002,
          source: 'photo',
        };
      });
      return donorGeometry(b.donor, 1.7).triangle;
    };
    const one = laid(1);
    const other = laid(-1);
    if (!one || !other) throw new Error('no inside');
    expect(one.outline).to.have.length(5);
    one.outline.forEach((p, i) => expect(d(p, other.outline[i] as Point)).to.be.below(1e-9));
    expect(d(one.bracket, one.seat)).to.be.closeTo(0.4, 1e-9);
  });
});

describe('an outline from an SVG', () => {
  const svg = (inner: string, head = 'width="200mm" height="100mm" viewBox="0 0 200 100"'): string =>
    `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`;
  const refused = (text: string): string => {
    const read = readSvgOutline(text);
    if (read.ok) throw new Error('it was read');
    expect(read.problems[0]?.path).to.match(/^(line \d+|file)$/);
    return read.problems[0]?.message ?? '';
  };

  it('keeps its size in millimetres, through units, viewBox and transforms', () => {
    const read = readSvgOutline(
      svg('<g transform="translate(10 5) scale(2)"><rect x="0" y="0" width="60" height="20"/></g>'),
    );
    if (!read.ok) throw new Error(read.problems[0]?.message);
    expect(read.value.lengthM).to.be.closeTo(0.12, 1e-6);
    expect(read.value.heightM).to.be.closeTo(0.04, 1e-6);
    const inches = readSvgOutline(
      svg('<path d="M0 0h100v50h-100z"/>', 'width="10in" height="5in" viewBox="0 0 100 50"'),
    );
    expect(inches.ok && inches.value.lengthM).to.be.closeTo(0.254, 1e-6);
  });

  it('draws curves out, takes the largest outline, and says what it left', () => {
    const read = readSvgOutline(svg('<circle cx="60" cy="50" r="40"/><path d="M150 10h20v20h-20z"/>'));
    if (!read.ok) throw new Error(read.problems[0]?.message);
    expect(read.value.lengthM).to.be.closeTo(0.08, 0.0003);
    expect(read.value.notes.join()).to.match(/2 outlines/);
    const area = read.value.points.reduce((sum, p, i, all) => {
      const q = all[(i + 1) % all.length] as typeof p;
      return sum + (p.xM * q.yM - q.xM * p.yM) / 2;
    }, 0);
    expect(area).to.be.closeTo(Math.PI * 0.04 ** 2, 0.00005);
  });

  it('refuses whatever could do harm, by name', () => {
    expect(refused(svg('<script>alert(1)</script>'))).to.match(/script/);
    expect(refused(svg('<rect width="90" height="30" onload="alert(1)"/>'))).to.match(/script/);
    expect(refused(svg('<image href="https://example.org/a.png"/>'))).to.match(/elsewhere|picture/);
    expect(refused(svg('<use href="#a"/>'))).to.match(/elsewhere/);
    expect(refused(svg('<a xlink:href="x"><rect width="9" height="9"/></a>'))).to.match(/elsewhere|link|read/);
    expect(refused(svg('<style>@import url(https://example.org)</style>'))).to.match(/style/);
    expect(refused(svg('<rect width="90" height="30" style="fill:url(https://example.org)"/>'))).to.match(/elsewhere/);
    expect(refused(svg('<foreignObject><p/></foreignObject>'))).to.match(/foreign/);
    expect(refused(svg('<text>hello</text>'))).to.match(/lettering/);
    expect(refused('<!DOCTYPE svg [<!ENTITY a "b">]>' + svg('<rect width="90" height="30"/>'))).to.match(
      /document type/,
    );
    expect(refused('<?xml-stylesheet href="a.css"?>' + svg('<rect width="90" height="30"/>'))).to.match(/instruction/);
    expect(refused('not an svg')).to.match(/XML/);
    expect(refused('<html/>')).to.match(/not an SVG/);
    expect(refused(svg(''))).to.match(/no closed outline/);
    expect(refused(svg('<path d="M0 0h9999v9999h-9999z"/>'))).to.match(/scale/);
    expect(refused(svg('<rect width="3" height="2"/>'))).to.match(/scale/);
    expect(refused('x'.repeat(400_001))).to.match(/larger/);
    expect(refused(svg('<g>'.repeat(60) + '<rect width="90" height="30"/>' + '</g>'.repeat(60)))).to.match(/deep/);
    expect(refused(svg('<rect width="90" height="30"/>'.repeat(4100)))).to.match(/elements/);
  });

  it('never throws, whatever it is given', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.string().map((s) => svg(`<path d="${s}"/>`)),
          fc.string().map((s) => svg(s)),
        ),
        (text) => {
          readSvgOutline(text);
        },
      ),
    );
  });
});

describe('from a photo', () => {
  const real = [
    { x: 0, y: 0 },
    { x: -0.12, y: 0.42 },
    { x: 0.44, y: 0.5 },
    { x: 0.46, y: 0.43 },
  ];
  const sheet = [
    { x: 0, y: 0.21 },
    { x: 0.297, y: 0.21 },
    { x: 0.297, y: 0 },
    { x: 0, y: 0 },
  ];
  /** A camera: a plane seen at a tilt. */
  const seen = (p: Point): Point => {
    const w = 1 + 0.18 * p.x - 0.1 * p.y;
    return { x: 400 + (900 * p.x + 30 * p.y) / w, y: 700 - (40 * p.x + 880 * p.y) / w };
  };

  it('a tilted camera is set right by a known rectangle', () => {
    const marks: PhotoMarks = {
      scale: null,
      square: { corners: sheet.map(seen) as never, widthM: 0.297, heightM: 0.21 },
      corners: real.map(seen),
    };
    const { corners } = fromPhoto(marks);
    corners.forEach((p, i) => expect(d(p, real[i] as Point)).to.be.below(1e-6));
    // Left as it is, the same photo is wrong by more than a tape.
    const flat = fromPhoto({
      scale: {
        from: seen({ x: 0, y: 0 }),
        to: seen({ x: 0.46, y: 0.43 }),
        distanceM: d({ x: 0, y: 0 }, { x: 0.46, y: 0.43 }),
        errorM: 0.002,
      },
      square: null,
      corners: real.map(seen),
    });
    expect(Math.max(...flat.corners.map((p, i) => d(p, real[i] as Point)))).to.be.greaterThan(TAPE_TOLERANCE);
  });

  it('its error bands hold what wobbling marks do', () => {
    const marks: PhotoMarks = {
      scale: { from: { x: 100, y: 800 }, to: { x: 1100, y: 800 }, distanceM: 1.05, errorM: 0.002 },
      square: null,
      corners: real.map((p) => ({ x: 300 + p.x * 950, y: 700 - p.y * 950 })),
    };
    const base = fromPhoto(marks);
    expect(base.errorM).to.be.within(0.001, 0.02);
    let outside = 0;
    let all = 0;
    fc.assert(
      fc.property(fc.array(fc.double({ min: -2, max: 2, noNaN: true }), { minLength: 12, maxLength: 12 }), (w) => {
        const moved = fromPhoto({
          ...marks,
          corners: marks.corners.map((p, i) => ({ x: p.x + (w[2 * i] ?? 0), y: p.y + (w[2 * i + 1] ?? 0) })),
        });
        moved.corners.forEach((p, i) => {
          all++;
          if (d(p, base.corners[i] as Point) > 2 * (base.errorsM[i] as number) + 1e-9) outside++;
        });
      }),
    );
    expect(outside / all).to.be.below(0.05);
  });

  it('says what is missing', () => {
    expect(() => fromPhoto({ scale: null, square: null, corners: real })).to.throw(/known/);
    expect(() =>
      fromPhoto({
        scale: { from: { x: 0, y: 0 }, to: { x: 9, y: 0 }, distanceM: 1, errorM: 0 },
        square: null,
        corners: [],
      }),
    ).to.throw(/corners/);
    const h = homographyOf(sheet, sheet);
    expect(d(project(h, { x: 0.1, y: 0.1 }), { x: 0.1, y: 0.1 })).to.be.below(1e-9);
  });
});

describe('brackets and sheets', () => {
  it('bend allowance by hand: 90° of 3 mm over 4 mm takes 8.26 mm', () => {
    expect(bendAllowance(Math.PI / 2, 4, 3)).to.be.closeTo((Math.PI / 2) * (4 + 0.42 * 3), 1e-12);
    expect(bendAllowance(Math.PI / 2, 4, 3)).to.be.closeTo(8.262, 0.001);
    expect(BEND_K).to.equal(0.42);
  });

  it('a flat folds up to the legs it was cut for', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 40, max: 160, noNaN: true }), { minLength: 2, maxLength: 4 }),
        fc.double({ min: 0.4, max: 1.6, noNaN: true }),
        (legsMm, angle) => {
          const spec = {
            name: 'x',
            stock: { widthMm: 25, thicknessMm: 3, insideRadiusMm: 4, k: BEND_K, material: 'steel' },
            legsMm,
            bendsRad: legsMm.slice(1).map(() => angle),
            holes: [],
          };
          const flat = unfold(spec);
          // Outer legs, less a setback each side of every bend, plus what the bends take up.
          const setback = 7 * Math.tan(angle / 2);
          const bends = legsMm.length - 1;
          const sum = legsMm.reduce((a, b) => a + b, 0) - 2 * bends * setback + bends * bendAllowance(angle, 4, 3);
          expect(flat.lengthMm).to.be.closeTo(sum, 1e-9);
          expect(bentLine(spec)).to.have.length(legsMm.length + 1);
        },
      ),
    );
  });

  it('says when a leg cannot be held or a hole would tear', () => {
    const stock = { widthMm: 20, thicknessMm: 3, insideRadiusMm: 4, k: BEND_K, material: 'steel' };
    expect(unfold({ name: 'x', stock, legsMm: [8, 60], bendsRad: [1.5], holes: [] }).problem).to.match(/too short/);
    expect(
      unfold({
        name: 'x',
        stock,
        legsMm: [50, 60],
        bendsRad: [1.5],
        holes: [{ leg: 0, fromMm: 48, acrossMm: 0, diameterMm: 6 }],
      }).problem,
    ).to.match(/tear/);
    const seat = build((b) => (b.donor.kind = 'recumbent'));
    const back = seatBackBracket(donorGeometry(seat.donor, 1.72), pack('loaf-36-17'));
    if (!back) throw new Error('no seat back');
    expect(unfold(back).problem).to.equal(null);
    expect(unfold(rackBracket(pack('loaf-36-17'))).problem).to.equal(null);
    expect(seatBackBracket(donorGeometry(build().donor, 1.72), pack('loaf-36-17'))).to.equal(null);
  });

  it('100 mm is 100.0 mm on every page, and the pack its own length', () => {
    const own = pack('kettle-36-17');
    const drawing = packTemplate(own);
    for (const paper of ['a4', 'letter'] as const)
      for (const page of pagesOf(drawing, paper)) {
        const svg = svgPage(drawing, page);
        const size = /width="([\d.]+)mm" height="([\d.]+)mm" viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg);
        if (!size) throw new Error('no size');
        // One unit is one millimetre: the page's size in mm is its viewBox.
        expect(Number(size[1])).to.equal(Number(size[3]));
        expect(Number(size[2])).to.equal(Number(size[4]));
        expect(Number(size[1])).to.equal(paperSizes[paper].widthMm);
        const rule = /class="check-rule"><path d="M([\d.]+) [\d.]+L([\d.]+) /.exec(svg);
        if (!rule) throw new Error('no rule');
        expect(Number(rule[2]) - Number(rule[1])).to.be.closeTo(100, 1e-9);
      }
    const whole = svgDrawing(drawing);
    const cut = [...whole.matchAll(/<path d="(M[^"]+Z)" stroke="#17323a" stroke-width="0.5"/g)].map((m) => m[1] ?? '');
    const xs = [...(cut[0] ?? '').matchAll(/[ML]([\d.]+) /g)].map((m) => Number(m[1]));
    expect(Math.max(...xs) - Math.min(...xs)).to.be.closeTo(own.outline.lengthM * 1000, 0.01);
  });

  it('pages cover the whole drawing, and overlap to be joined', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 1500, noNaN: true }),
        fc.double({ min: 50, max: 900, noNaN: true }),
        (widthMm, heightMm) => {
          const pages = pagesOf({ title: '', notes: [], marks: [], widthMm, heightMm }, 'a4');
          expect(Math.max(...pages.map((p) => p.from.x + p.widthMm))).to.be.at.least(widthMm);
          expect(Math.max(...pages.map((p) => p.from.y + p.heightMm))).to.be.at.least(heightMm);
          expect(pages).to.have.length(pages[0]?.of ?? 0);
        },
      ),
    );
  });

  it('DXF carries millimetres, layers and the same cut', () => {
    const drawing = bracketSheet(rackBracket(pack('loaf-36-17')), 2);
    const dxf = dxfDrawing(drawing);
    expect(dxf).to.match(/\$INSUNITS\s+70\s+4\b/);
    for (const layer of ['cut', 'bend', 'hole', 'dimension']) expect(dxf).to.include(layer);
    const flat = unfold(rackBracket(pack('loaf-36-17')));
    const lines = dxf.split(/\r?\n/).map((l) => l.trim());
    const xs = lines.flatMap((l, k) => (k % 2 === 0 && l === '10' ? [Number(lines[k + 1])] : []));
    expect(Math.max(...xs)).to.be.at.least(flat.lengthMm - 0.01);
    expect(dxf.trimEnd()).to.match(/EOF$/);
  });

  it('names in drawings cannot become marks of their own', () => {
    const evil = { ...pack('kettle-36-13'), name: '<script>alert("x")</script>&' };
    const svg = svgDrawing(packTemplate(evil));
    expect(svg).not.to.include('<script');
    expect(svg).to.include('&lt;script&gt;');
  });

  it('the side view keeps its scale: a wheelbase of 1050 is 105 at 1 : 10', () => {
    const g = donorGeometry(build((b) => (b.donor.survey = { wheelbase: entry(1.05) })).donor, 1.72);
    const circles = sideSheet(g, 'x', null, 10).marks.filter((m) => m.kind === 'circle');
    const xs = circles.map((c) => (c.kind === 'circle' ? c.centre.x : 0));
    expect(Math.max(...xs) - Math.min(...xs)).to.be.closeTo(105, 1e-6);
    for (const scale of [1, 2, 5, 10] as const) expect(sideSheet(g, 'x', null, scale).widthMm).to.be.greaterThan(100);
  });
});

/** A kit and a pack on the vehicle, the pack’s middle at a place. */
const added = (kit: Kit | null, own: Pack, at: { x: number; y: number }): Added => ({
  kit,
  fittingsKg: 0,
  pack: { kg: own.massKg, at },
});

describe('weight, wheels and leads', () => {
  it('loads on the wheels add up to all that moves, and their moments to its place', () => {
    for (const kind of vehicleKinds) {
      const b = build((x) => (x.donor.kind = kind));
      const g = donorGeometry(b.donor, 1.72);
      const kit = starterShelf.kit[0] ?? null;
      const own = pack('hearth-36-12-lfp');
      const balance = balanceOf(b, g, added(kit, own, { x: 0.1, y: 0.7 }), 'rack');
      const { now } = balance;
      expect(now.rearKg + now.frontKg).to.be.closeTo(now.totalKg, 1e-9);
      const sum = balance.points.reduce((m, p) => m + p.kg * p.x, 0);
      expect(now.frontKg * (g.frontAxle.x - g.rearAxle.x)).to.be.closeTo(sum, 1e-6);
      const wheels = balance.perWheel.reduce((n, w) => n + w.nowKg * (w.label.startsWith('each') ? 2 : 1), 0);
      expect(wheels, kind).to.be.closeTo(now.totalKg, 1e-9);
      expect(balance.limits.find((l) => l.label === 'Rack')?.loadKg).to.be.at.least(own.massKg);
      for (const l of balance.limits) expect(l.verdict, l.label).to.equal('measure');
      expect(balance.tipsSideways === null).to.equal(g.trackM === 0);
    }
  });

  it('a limit says stop over it, rework near it, fits within it, and never fits from memory', () => {
    const at = (limit: number, from: 'measured' | 'recalled') =>
      balanceOf(
        build((x) => (x.donor.survey = { loadLimit: entry(limit, from) })),
        donorGeometry(build().donor, 1.72),
        NOTHING_ADDED,
        null,
      ).limits[0]?.verdict;
    const { totalKg } = balanceOf(build(), donorGeometry(build().donor, 1.72), NOTHING_ADDED, null).now;
    expect(at(totalKg - 1, 'measured')).to.equal('stop');
    expect(at(totalKg + 1, 'measured')).to.equal('rework');
    expect(at(totalKg * 1.5, 'measured')).to.equal('fits');
    expect(at(totalKg * 1.5, 'recalled')).to.equal('measure');
  });

  it('a pack moved back loads the rear, and moved up tips sooner', () => {
    const b = build();
    const g = donorGeometry(b.donor, 1.72);
    const own = pack('hearth-48-20-lfp');
    const low = balanceOf(b, g, added(null, own, { x: 0.6, y: 0.5 }), 'downTube');
    const back = balanceOf(b, g, added(null, own, { x: 0, y: 0.5 }), 'rack');
    const high = balanceOf(b, g, added(null, own, { x: 0.6, y: 0.9 }), 'topTube');
    expect(back.now.rearKg).to.be.greaterThan(low.now.rearKg);
    expect(high.tipsOverFront.now).to.be.below(low.tipsOverFront.now);
  });

  it('the budget is added less removed from a frozen beginning', () => {
    const b = build((x) => {
      x.donor.survey = { vehicleMass: entry(15) };
      x.weights = {
        baseline: { kg: 14.2, lines: [], on: '2026-02-01' },
        changes: [
          { label: 'old wheel', kg: -1.9 },
          { label: 'stand', kg: 0.7 },
        ],
      };
      x.brief.massTargetKg = 22;
    });
    const own = pack('kettle-36-13');
    const budget = weightBudget(b, [{ label: own.name, kg: own.massKg }]);
    expect(budget.nowKg).to.be.closeTo(14.2 - 1.9 + 0.7 + own.massKg, 1e-9);
    expect(budget.removedKg).to.be.closeTo(1.9, 1e-9);
    expect(budget.baselineKg).to.equal(14.2);
  });

  it('smaller wheels lower the pedals by what they lose, and shorten the trail', () => {
    const b = build((x) => (x.donor.survey = { crankLength: entry(0.17), bracketHeight: entry(0.285) }));
    const g = donorGeometry(b.donor, 1.72);
    const small = { beadM: 0.559, widthM: 0.037 };
    const change = wheelChange(b.donor, g, small, small);
    const drop = g.rearRadiusM - change.rearRadiusM.after;
    expect(change.bracketHeightM.after).to.be.closeTo(0.285 - drop, 1e-9);
    expect(change.headAngleRad.after).to.be.closeTo(change.headAngleRad.before, 1e-12);
    expect(change.trailM.after).to.be.below(change.trailM.before);
    expect(change.crankM).to.be.below(0.17);
    expect(change.rearPadM).to.be.closeTo((0.622 - 0.559) / 2, 1e-9);
    expect(change.toeGapM.after).to.be.greaterThan(change.toeGapM.before);
    const same = wheelChange(b.donor, g, g.rearTyre, g.frontTyre);
    expect(same.bracketHeightM.after).to.be.closeTo(same.bracketHeightM.before, 1e-12);
    expect(same.speedShare).to.equal(1);
    expect(same.cautions).not.to.include.members(['padsMove']);
    expect(change.cautions).to.include.members(['pedalsLow', 'cranksTooLong', 'padsMove']);
    // 700C, 73°, 45 mm of offset: 57 mm of trail, as any frame table has it.
    expect(trailOf(0.336, (73 * Math.PI) / 180) * 1000).to.be.closeTo(55.7, 0.5);
  });

  it('a controller finds its place beside the pack, touching neither it nor a tube', () => {
    const b = build(
      (x) =>
        (x.donor.survey = { seatSide: entry(0.46), topSide: entry(0.53), downSide: entry(0.6), headSide: entry(0.06) }),
    );
    const g = donorGeometry(b.donor, 1.72);
    const { room } = new FrameRoom(b, g, null);
    const mount = room.mounts.find((m) => m.place === 'downTube');
    if (!mount) throw new Error('no down tube');
    const shape = packShape(pack('kettle-36-13'));
    const lies = placementsOn(room, mount, shape)[0] as Placement;
    const kit = starterShelf.kit.find((k) => k.controller.place === 'its own box' && k.hub?.place === 'rear');
    if (!kit) throw new Error('no kit');
    const found = placeController(room, kit, { shape, lies });
    expect(found?.airy).to.equal(true);
    const inMotor = starterShelf.kit.find((k) => k.controller.place === 'in the motor');
    expect(inMotor && placeController(room, inMotor, null)).to.equal(null);
  });

  it('from above, paired wheels stand a track apart and nothing leaves the plane', () => {
    for (const kind of vehicleKinds) {
      const b = build((x) => (x.donor.kind = kind));
      const g = donorGeometry(b.donor, 1.72);
      const shapes = planView(g, b.donor.survey, null, null);
      const wheels = shapes.filter((s) => s.kind === 'wheel');
      expect(wheels.length, kind).to.equal(g.pairedFront || g.pairedRear ? 3 : 2);
      for (const s of shapes)
        for (const p of s.points) expect(Number.isFinite(p.x + p.z), `${kind} ${s.id}`).to.equal(true);
    }
  });
});
