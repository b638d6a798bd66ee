import {
  newBuild,
  planChosen,
  planContext,
  starterShelf,
  vehicleKinds,
  vehicleKindWords,
  type ChosenPlan,
  type VehicleKind,
} from '@sprocket/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { BikeDrawing } from '../../drawing/BikeDrawing.tsx';
import '../../drawing/drawing.css';
import './kinds.css';

/** A pack that shows where such a vehicle usually carries one. */
const usualPack: Record<VehicleKind, string> = {
  diamond: 'kettle-36-17',
  mixte: 'kettle-36-13',
  stepThrough: 'heron-36-12',
  folding: 'loaf-36-10',
  fullSuspension: 'wherry-36-14',
  fat: 'kettle-48-14',
  tandem: 'loaf-48-15',
  longtail: 'wherry-48-17',
  boxBike: 'hearth-48-20-lfp',
  recumbent: 'loaf-36-17',
  deltaTrike: 'hearth-36-20-lfp',
  tadpoleTrike: 'loaf-36-10',
  boxTrike: 'hearth-48-20-lfp',
  recumbentDelta: 'loaf-36-17',
  tandemTrike: 'hearth-36-20-lfp',
  velomobile: 'loaf-36-10',
  homeBuilt: 'hearth-36-12-lfp',
};

function planOf(kind: VehicleKind): ChosenPlan {
  const build = newBuild(kind, vehicleKindWords[kind], '2026-01-01T00:00:00.000Z');
  build.donor.kind = kind;
  build.choice.packId = usualPack[kind];
  return planChosen(planContext(build, starterShelf));
}

/** Every kind of vehicle, drawn from common sizes with a pack where such a one usually carries it. */
export function Kinds() {
  const plans = useMemo(() => vehicleKinds.map((kind) => ({ kind, plan: planOf(kind) })), []);
  return (
    <main className="kinds">
      <header className="kinds-head">
        <h1>Kinds of vehicle</h1>
        <p>
          Drawn from common sizes, each with a battery where it would go. Your own measurements redraw it.{' '}
          <Link to="/">Back to the builds</Link>
        </p>
      </header>
      <ul className="kinds-grid">
        {plans.map(({ kind, plan }) => (
          <li key={kind}>
            <h2>{vehicleKindWords[kind]}</h2>
            <BikeDrawing plan={plan} layers={[]} sheet={kind} plain overlay={() => <KindPack plan={plan} />} />
          </li>
        ))}
      </ul>
    </main>
  );
}

function KindPack({ plan }: { plan: ChosenPlan }) {
  const { pack } = plan.drawing;
  if (!pack || !plan.pack.layout.pack?.taken.lies) return null;
  const d = pack.outline.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x} ${-p.y}`).join('') + 'Z';
  return <path d={d} className="pack-body" strokeWidth={0.004} />;
}
