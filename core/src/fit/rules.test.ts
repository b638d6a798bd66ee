import { runs } from '../../test/runs.ts';
import { expect } from 'chai';
import fc from 'fast-check';
import { newBuild, type Build } from '../build/build.ts';
import type { SurveyItemId } from '../donor/donor.ts';
import { surveyItems } from '../donor/survey.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import type { Kit } from '../parts/kit.ts';
import { kitFindings } from '../../test/world.ts';
import { typedSurvey, type Typed } from '../../test/typed.ts';
import type { Finding } from './finding.ts';
import type { Verdict } from '../verdict.ts';
import { counted } from '../../test/counted.ts';

/** Where packs lie is proved beside the layout; one of them is enough here. */
const shelf = {
  ...starterShelf,
  pack: starterShelf.pack.filter((p) => p.id === 'kettle-36-13'),
};

/** A steel roadster that takes most things: each case changes what it is about. */
const roadster: Typed = {
  frameMaterial: 'steel',
  forkMaterial: 'steel',
  forkKind: 'rigid',
  dropoutMaterial: 'steel',
  bracketKind: 'threadedIso',
  bracketWidth: '68 mm',
  bracketBore: '33.8 mm',
  rearDropoutSpacing: '135 mm',
  rearSlotWidth: '10.1 mm',
  rearDropoutThickness: '6 mm',
  rearAxleHolding: 'horizontalSlot',
  frontDropoutSpacing: '100 mm',
  frontSlotWidth: '9.9 mm',
  frontAxleHolding: 'verticalSlot',
  rearTyre: '37-622',
  frontTyre: '37-622',
  rearBrake: 'rim',
  frontBrake: 'rim',
  clusterKind: 'freewheel',
  cogTeeth: '14-16-18-21-24-28',
  ringTeeth: '42',
  seatSide: '450 mm',
  topSide: '500 mm',
  downSide: '560 mm',
  seatTubeLength: '530 mm',
  seatTubeAngle: '73 deg',
  chainstayLength: '440 mm',
  bracketHeight: '285 mm',
  wheelbase: '1050 mm',
  vehicleMass: '14 kg',
  loadLimit: '140 kg',
  rackLimit: '18 kg',
};

function buildWith(changes: Typed, edit: (b: Build) => void = () => undefined): Build {
  const b = newBuild('case', 'Case', '2026-01-01T00:00:00.000Z');
  const typed = { ...roadster, ...changes };
  for (const [id, text] of Object.entries(changes)) if (text === '') Reflect.deleteProperty(typed, id);
  b.donor.survey = typedSurvey(typed);
  b.choice.torqueArms = 2;
  edit(b);
  return b;
}

const judged = (b: Build, kitId: string): Map<string, Finding> => kitFindings(b, shelf, kitId);

interface Case {
  what: string;
  changes: Typed;
  kit: string;
  expected: Partial<Record<string, Verdict>>;
  edit?: (b: Build) => void;
}

// Written from the trade, not from the rules: what an experienced converter would say.
const cases: Case[] = [
  {
    what: 'plain steel roadster, geared rear hub',
    changes: {},
    kit: 'otter-r250',
    expected: {
      'dropout-spacing': 'fits',
      'axle-slot': 'fits',
      'axle-seat': 'fits',
      'wheel-size': 'fits',
      'brake-kind': 'fits',
      'cluster-mount': 'fits',
      'load-limit': 'fits',
      'frame-material': 'fits',
    },
  },
  {
    what: 'plain steel roadster, mid-drive',
    changes: {},
    kit: 'wren-m250',
    expected: { 'bottom-bracket': 'fits', 'brake-kind': 'fits' },
  },
  {
    what: '130 mm steel is sprung for a 135 mm hub',
    changes: { rearDropoutSpacing: '130 mm' },
    kit: 'otter-r250',
    expected: { 'dropout-spacing': 'rework' },
  },
  {
    what: '130 mm aluminium is not',
    changes: { rearDropoutSpacing: '130 mm', dropoutMaterial: 'aluminium' },
    kit: 'otter-r250',
    expected: { 'dropout-spacing': 'stop' },
  },
  {
    what: '126 mm steel is too far from 135',
    changes: { rearDropoutSpacing: '126 mm' },
    kit: 'otter-r250',
    expected: { 'dropout-spacing': 'stop' },
  },
  {
    what: '126 mm steel takes the slim hub',
    changes: { rearDropoutSpacing: '126 mm' },
    kit: 'dipper-r250-s',
    expected: { 'dropout-spacing': 'rework' },
  },
  {
    what: 'a 110 mm fork is not sprung or squeezed to 100',
    changes: { frontDropoutSpacing: '110 mm' },
    kit: 'linnet-f250',
    expected: { 'dropout-spacing': 'stop' },
  },
  {
    what: 'a 96 mm fork is not sprung',
    changes: { frontDropoutSpacing: '96 mm' },
    kit: 'linnet-f250',
    expected: { 'dropout-spacing': 'stop' },
  },
  {
    what: 'a through-axle takes no hub motor',
    changes: { rearAxleHolding: 'throughAxle', rearSlotWidth: '12 mm' },
    kit: 'otter-r250',
    expected: { 'axle-slot': 'stop' },
  },
  {
    what: 'a slot a little tight is filed',
    changes: { frontSlotWidth: '9.2 mm' },
    kit: 'linnet-f250',
    expected: { 'axle-slot': 'rework' },
  },
  {
    what: 'a slot far too tight is not',
    changes: { rearSlotWidth: '8.5 mm' },
    kit: 'otter-r250',
    expected: { 'axle-slot': 'stop' },
  },
  {
    what: 'a wide slot lets the axle rock',
    changes: { rearSlotWidth: '12 mm' },
    kit: 'otter-r250',
    expected: { 'axle-slot': 'rework' },
  },
  {
    what: 'a carbon fork under a hub',
    changes: { forkMaterial: 'carbon' },
    kit: 'linnet-f250',
    expected: { 'axle-seat': 'stop' },
  },
  {
    what: 'a suspension fork under a hub',
    changes: { forkKind: 'suspension' },
    kit: 'linnet-f250',
    expected: { 'axle-seat': 'stop' },
  },
  {
    what: 'aluminium dropouts want two arms',
    changes: { dropoutMaterial: 'aluminium' },
    kit: 'otter-r250',
    expected: { 'axle-seat': 'rework' },
    edit: (b) => (b.choice.torqueArms = 1),
  },
  {
    what: 'direct drive in steel wants one',
    changes: {},
    kit: 'heron-d1000',
    expected: { 'axle-seat': 'rework' },
    edit: (b) => (b.choice.torqueArms = 0),
  },
  {
    what: 'a small geared hub in steel wants none',
    changes: {},
    kit: 'otter-r250',
    expected: { 'axle-seat': 'fits' },
    edit: (b) => (b.choice.torqueArms = 0),
  },
  {
    what: 'carbon frame, hub',
    changes: { frameMaterial: 'carbon' },
    kit: 'otter-r250',
    expected: { 'frame-material': 'stop' },
  },
  {
    what: 'carbon frame, mid-drive',
    changes: { frameMaterial: 'carbon' },
    kit: 'wren-m250',
    expected: { 'frame-material': 'stop' },
  },
  {
    what: '73 mm shell is within the range',
    changes: { bracketWidth: '73 mm' },
    kit: 'wren-m250',
    expected: { 'bottom-bracket': 'fits' },
  },
  {
    what: '83 mm shell is too wide for the narrow motor',
    changes: { bracketWidth: '83 mm' },
    kit: 'wren-m250',
    expected: { 'bottom-bracket': 'stop' },
  },
  {
    what: '60 mm shell is too narrow for the wide motor',
    changes: { bracketWidth: '60 mm' },
    kit: 'ouzel-m750',
    expected: { 'bottom-bracket': 'stop' },
  },
  {
    what: 'press-fit of the right width needs an adapter',
    changes: { bracketWidth: '73 mm', bracketBore: '41 mm', bracketKind: 'pressFit' },
    kit: 'wren-m250',
    expected: { 'bottom-bracket': 'rework' },
  },
  {
    what: 'a one-piece shell has no adapter',
    changes: { bracketBore: '51 mm', bracketKind: 'onePiece' },
    kit: 'wren-m250',
    expected: { 'bottom-bracket': 'stop' },
  },
  {
    what: 'eccentric shell',
    changes: { bracketKind: 'eccentric' },
    kit: 'wren-m250',
    expected: { 'bottom-bracket': 'rework' },
  },
  {
    what: 'width alone proves nothing',
    changes: { bracketBore: '' },
    kit: 'wren-m250',
    expected: { 'bottom-bracket': 'measure' },
  },
  {
    what: '26 inch wheel for a 622 only kit',
    changes: { rearTyre: '26 x 2' },
    kit: 'dipper-r250-s',
    expected: { 'wheel-size': 'rework' },
  },
  {
    what: 'a disc at the rear of a hub without a mount',
    changes: { rearBrake: 'discCable' },
    kit: 'dipper-r250-s',
    expected: { 'brake-kind': 'stop' },
  },
  {
    what: 'a disc and a hub: clearance is measured',
    changes: { rearBrake: 'discHydraulic' },
    kit: 'otter-r250',
    expected: { 'brake-kind': 'fits', 'caliper-room': 'measure', 'rotor-mount': 'measure' },
  },
  { what: 'a rim brake and a rim with no track', changes: {}, kit: 'heron-d1000', expected: { 'brake-kind': 'stop' } },
  {
    what: 'a coaster brake goes with the old wheel',
    changes: { rearBrake: 'coaster' },
    kit: 'otter-r250',
    expected: { 'brake-kind': 'rework' },
  },
  {
    what: 'a coaster brake behind a mid-drive',
    changes: { rearBrake: 'coaster' },
    kit: 'wren-m250',
    expected: { 'brake-kind': 'stop' },
  },
  {
    what: 'a cassette on a freewheel hub',
    changes: { clusterKind: 'cassette' },
    kit: 'otter-r250',
    expected: { 'cluster-mount': 'rework' },
  },
  {
    what: 'eleven cogs on a seven-cog hub',
    changes: { clusterKind: 'cassette', cogTeeth: '11-13-15-17-19-21-24-28-32-36-42' },
    kit: 'otter-r500',
    expected: { 'cluster-mount': 'rework' },
  },
  {
    what: 'a hub gear lost to a rear hub',
    changes: { clusterKind: 'hubGear', cogTeeth: '19' },
    kit: 'otter-r250',
    expected: { 'cluster-mount': 'rework' },
  },
  {
    what: 'a hub gear kept by a front hub',
    changes: { clusterKind: 'hubGear', cogTeeth: '19' },
    kit: 'linnet-f250',
    expected: { 'cluster-mount': undefined as never },
  },
  {
    what: 'over the load limit',
    changes: { loadLimit: '90 kg' },
    kit: 'otter-r250',
    expected: { 'load-limit': 'stop' },
  },
  { what: 'load limit unknown', changes: { loadLimit: '' }, kit: 'otter-r250', expected: { 'load-limit': 'measure' } },
  {
    what: 'two driven wheels side by side',
    changes: {},
    kit: 'otter-r250',
    expected: { 'driven-wheels': 'stop' },
    edit: (b) => (b.donor.kind = 'deltaTrike'),
  },
  { what: '500 W rated in a 250 W class', changes: {}, kit: 'wren-m500', expected: { 'legal-power': 'rework' } },
  {
    what: 'the same on private ground',
    changes: {},
    kit: 'wren-m500',
    expected: { 'legal-power': 'fits', 'legal-speed': undefined as never },
    edit: (b) => (b.brief.legalClass = 'private'),
  },
  {
    what: 'no assist limit in a 25 km/h class',
    changes: {},
    kit: 'heron-d1000',
    expected: { 'legal-speed': 'rework', 'legal-duties': 'rework' },
    edit: (b) => {
      b.brief.legalClass = 'moped25';
      for (const rider of b.brief.riders) rider.ageYears = 40;
    },
  },
];

describe('fit rules, case by case', () => {
  for (const { what, changes, kit, expected, edit } of cases) {
    it(what, () => {
      const findings = judged(buildWith(changes, edit), kit);
      for (const [rule, verdict] of Object.entries(expected))
        expect(findings.get(rule)?.verdict, rule).to.equal(verdict);
    });
  }

  it('say numbers, source and evidence in every finding, and a remedy in every one that does not fit', () => {
    const met = counted();
    for (const { changes, kit, edit } of cases) {
      for (const finding of judged(buildWith(changes, edit), kit).values()) {
        expect(finding.source, finding.title).not.to.equal('');
        expect(finding.evidence.length, finding.title).to.be.greaterThan(0);
        if (finding.verdict !== 'fits' && met()) expect(finding.remedies.length, finding.title).to.be.greaterThan(0);
      }
    }
    met.enough();
  });
});

describe('fit rules, always', () => {
  const kits: readonly Kit[] = starterShelf.kit;
  const removable = surveyItems.map((item) => item.id);

  it('never fit on a needed size that is missing or assumed', function () {
    const needs: Record<string, SurveyItemId[]> = {
      'frame-material': ['frameMaterial'],
      'bottom-bracket': ['bracketWidth', 'bracketBore'],
      'load-limit': ['loadLimit'],
    };
    const rearNeeds: Record<string, SurveyItemId[]> = {
      'dropout-spacing': ['rearDropoutSpacing'],
      'axle-slot': ['rearSlotWidth', 'rearAxleHolding'],
      'axle-seat': ['dropoutMaterial'],
      'wheel-size': ['rearTyre'],
      'brake-kind': ['rearBrake'],
      'cluster-mount': ['clusterKind', 'cogTeeth'],
    };
    const frontNeeds: Record<string, SurveyItemId[]> = {
      'dropout-spacing': ['frontDropoutSpacing'],
      'axle-slot': ['frontSlotWidth', 'frontAxleHolding'],
      'axle-seat': ['forkMaterial'],
      'wheel-size': ['frontTyre'],
      'brake-kind': ['frontBrake'],
    };
    // Every third kit: each family and place is among them.
    for (const kit of kits.filter((_k, n) => n % 3 === 0)) {
      const all = { ...needs, ...(kit.hub?.place === 'rear' ? rearNeeds : kit.hub ? frontNeeds : {}) };
      for (const [rule, ids] of Object.entries(all)) {
        for (const id of ids) {
          expect(
            judged(buildWith({ [id]: '' }), kit.id).get(rule)?.verdict,
            `${kit.id} ${rule} without ${id}`,
          ).not.to.equal('fits');
          const assumed = buildWith({});
          const entry = assumed.donor.survey[id];
          if (entry) entry.provenance = 'assumed';
          expect(judged(assumed, kit.id).get(rule)?.verdict, `${kit.id} ${rule} on an assumed ${id}`).not.to.equal(
            'fits',
          );
        }
      }
    }
  });

  it('taking a measurement away never turns a verdict to fits', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...cases),
        fc.subarray(removable, { minLength: 1, maxLength: 6 }),
        ({ changes, kit, edit }, gone) => {
          const whole = judged(buildWith(changes, edit), kit);
          const less = judged(buildWith({ ...changes, ...Object.fromEntries(gone.map((id) => [id, ''])) }, edit), kit);
          for (const [rule, finding] of less) {
            if (finding.verdict === 'fits')
              expect(whole.get(rule)?.verdict, `${rule} without ${gone.join(', ')}`).to.equal('fits');
          }
        },
      ),
      { numRuns: runs(25, 200) },
    );
  });

  it('a narrower slot never fits better, a narrower end neither', () => {
    const order: Verdict[] = ['stop', 'rework', 'measure', 'fits'];
    const rank = (v: Verdict | undefined): number => order.indexOf(v ?? 'stop');
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 10.2, noNaN: true }),
        fc.double({ min: 0, max: 1.5, noNaN: true }),
        (slot, less) => {
          const at = (mm: number): Verdict | undefined =>
            judged(buildWith({ rearSlotWidth: `${mm.toFixed(3)} mm` }), 'otter-r250').get('axle-slot')?.verdict;
          expect(rank(at(Math.max(8, slot - less)))).to.be.at.most(rank(at(slot)));
        },
      ),
      { numRuns: runs(8, 100) },
    );
    fc.assert(
      fc.property(
        fc.double({ min: 122, max: 135.5, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (spacing, less) => {
          const at = (mm: number): Verdict | undefined =>
            judged(buildWith({ rearDropoutSpacing: `${mm.toFixed(3)} mm` }), 'otter-r250').get('dropout-spacing')
              ?.verdict;
          expect(rank(at(spacing - less))).to.be.at.most(rank(at(spacing)));
        },
      ),
      { numRuns: runs(8, 100) },
    );
  });

  it('say the same whichever units were typed', () => {
    const metric = buildWith({
      rearDropoutSpacing: '130.175 mm',
      bracketWidth: '69.85 mm',
      vehicleMass: '13.607771 kg',
    });
    const imperial = buildWith({ rearDropoutSpacing: '5 1/8 in', bracketWidth: '2 3/4 in', vehicleMass: '30 lb' });
    for (const kit of kits) {
      const a = [...judged(metric, kit.id).values()].map((f) => [f.rule, f.verdict]);
      const b = [...judged(imperial, kit.id).values()].map((f) => [f.rule, f.verdict]);
      expect(a).to.deep.equal(b);
    }
  });
});
