import { geometryInTravel, type ChosenPlan, type Placement } from '@sprocket/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useBuild } from '../store/store.ts';
import { Bars } from './Bars.tsx';
import { BikeDrawing, type DrawingLayer } from './BikeDrawing.tsx';
import { FromAbove } from './FromAbove.tsx';
import { sheetFor, type Look } from './frame.ts';
import { ControllerMark, LeadLayer } from './LeadLayer.tsx';
import { MassLayer } from './MassLayer.tsx';
import { PackOverlay, type Spot } from './PackOverlay.tsx';
import { savePng, saveSvg } from './saveDrawing.ts';

type View = 'side' | 'above' | 'bar';
type Layer = 'sizes' | 'gaps' | 'masses' | 'leads' | 'others';
const layerWords: Record<Layer, string> = {
  sizes: 'Sizes',
  gaps: 'Gaps',
  masses: 'Masses',
  leads: 'Leads',
  others: 'Other ways',
};
type Playing = 'off' | 'travel' | null;

/** Seconds that a movement takes there and back. */
const PLAY_SECONDS = 3.2;

/** A share that swings from 0 to 1 and back while something plays. */
function useSwing(playing: Playing): number {
  const [share, setShare] = useState(0);
  useEffect(() => {
    if (playing === null) return;
    let frame = 0;
    const start = performance.now();
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
    const step = (now: number): void => {
      const t = ((now - start) / 1000 / PLAY_SECONDS) % 1;
      setShare(still ? 1 : (1 - Math.cos(2 * Math.PI * t)) / 2);
      if (!still) frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    return () => {
      cancelAnimationFrame(frame);
      setShare(0);
    };
  }, [playing]);
  return share;
}

/** The drawing as a workbench for the pack: drag it, look closer, let it slide, see what stands where. */
export function PackBoard({
  plan,
  onPut,
  first = 'gaps',
}: {
  plan: ChosenPlan;
  onPut: (spot: Spot | null) => void;
  first?: Layer;
}) {
  const build = useBuild();
  const { geometry: g } = plan.drawing;
  const frame = useRef<HTMLDivElement>(null);
  const [view, setView] = useState<View>('side');
  const [layers, setLayers] = useState<readonly Layer[]>([first]);
  const [zoom, setZoom] = useState(1);
  const [playing, setPlaying] = useState<Playing>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const share = useSwing(playing);
  const { pack } = plan.pack.layout;
  const off = playing === 'off' ? share : 0;
  const travel = build.donor.survey.rearTravel?.value ?? 0.13;
  const geometry = useMemo(
    () => (playing === 'travel' ? geometryInTravel(g, travel, share) : undefined),
    [g, travel, share, playing],
  );
  const look = useMemo((): Look | undefined => {
    // Closer on the pack, or on the frame's middle where there is none.
    const at = pack?.taken.lies ? pack.taken.outline : [g.bracket, g.headBottom, g.seatTop];
    const x = at.reduce((sum, p) => sum + p.x, 0) / at.length;
    const y = at.reduce((sum, p) => sum + p.y, 0) / at.length;
    const whole = sheetFor(g, { width: 800, height: 400 });
    const centre = { x: whole.left + whole.width / 2, y: whole.top - whole.height / 2 };
    // Masses stand above the saddle: the sheet steps back to take them in.
    if (zoom === 1) return layers.includes('masses') ? { zoom: 0.8, x: centre.x, y: centre.y + 0.13 } : undefined;
    const pull = 1 - 1 / zoom;
    return {
      zoom,
      x: centre.x + (x - centre.x) * Math.min(1, pull * 1.6),
      y: centre.y + (y - centre.y) * Math.min(1, pull * 1.6),
    };
  }, [zoom, pack, g, layers]);
  const has = (layer: Layer): boolean => layers.includes(layer);
  const ghosts = useMemo((): Placement[] => {
    if (!pack || !layers.includes('others')) return [];
    const here = pack.taken.lies;
    return [...pack.places.flatMap((p) => (p.lies ? [p.lies, ...p.others] : []))].filter(
      (p) => p !== here && p.clearanceM > 0 && !(p.place === here?.place && Math.abs(p.alongM - here.alongM) < 0.004),
    );
  }, [pack, layers]);
  const shown: DrawingLayer[] = ['parts', ...(has('sizes') ? (['sizes'] as const) : [])];
  const svg = (): SVGSVGElement | null => frame.current?.querySelector('svg') ?? null;
  const fileName = `${build.name.replace(/[^\p{L}\p{N}]+/gu, '-')}-drawing`.toLowerCase();
  const tools = (
    <div className="board-tools" role="toolbar" aria-label="Drawing">
      <div className="tool-group" role="group" aria-label="View">
        {(['side', 'above', 'bar'] as const).map((v) => (
          <button key={v} type="button" aria-pressed={view === v} onClick={() => setView(v)}>
            {{ side: 'Side', above: 'Above', bar: 'Bar' }[v]}
          </button>
        ))}
      </div>
      {view === 'side' ? (
        <>
          <div className="tool-group" role="group" aria-label="Layers">
            {(Object.keys(layerWords) as Layer[]).map((layer) => (
              <button
                key={layer}
                type="button"
                aria-pressed={has(layer)}
                onClick={() => setLayers((on) => (on.includes(layer) ? on.filter((l) => l !== layer) : [...on, layer]))}
              >
                {layerWords[layer]}
              </button>
            ))}
          </div>
          <div className="tool-group" role="group" aria-label="Movement">
            {pack?.shape.leaving ? (
              <button
                type="button"
                aria-pressed={playing === 'off'}
                onClick={() => setPlaying(playing === 'off' ? null : 'off')}
              >
                Slide off
              </button>
            ) : null}
            {g.suspension ? (
              <button
                type="button"
                aria-pressed={playing === 'travel'}
                onClick={() => setPlaying(playing === 'travel' ? null : 'travel')}
              >
                Suspension
              </button>
            ) : null}
          </div>
          <div className="tool-group" role="group" aria-label="Zoom">
            <button
              type="button"
              aria-label="Further"
              disabled={zoom <= 1}
              onClick={() => setZoom(Math.max(1, zoom / 1.4))}
            >
              −
            </button>
            <button type="button" aria-label="Closer" disabled={zoom > 5} onClick={() => setZoom(zoom * 1.4)}>
              +
            </button>
          </div>
        </>
      ) : null}
      {view === 'bar' ? null : (
        <div className="tool-group tool-end" role="group" aria-label="Save the drawing">
          <button
            type="button"
            onClick={() => {
              const s = svg();
              if (s) saveSvg(s, fileName);
            }}
          >
            SVG
          </button>
          <button
            type="button"
            onClick={() => {
              const s = svg();
              if (s) savePng(s, fileName).catch((error: unknown) => setTrouble(String(error)));
            }}
          >
            PNG
          </button>
        </div>
      )}
    </div>
  );
  return (
    <div className="pack-board" ref={frame}>
      {view === 'side' ? null : tools}
      {view === 'side' ? (
        <BikeDrawing
          plan={plan}
          layers={shown}
          sheet="sheet 4"
          tall
          geometry={geometry}
          look={look}
          tools={tools}
          overlay={(sheet) => (
            <>
              {has('leads') ? <LeadLayer plan={plan} sheet={sheet} /> : null}
              <ControllerMark plan={plan} sheet={sheet} />
              <PackOverlay plan={plan} sheet={sheet} off={off} showGaps={has('gaps')} ghosts={ghosts} onPut={onPut} />
              {has('masses') ? <MassLayer plan={plan} sheet={sheet} /> : null}
            </>
          )}
        />
      ) : view === 'above' ? (
        <FromAbove plan={plan} />
      ) : (
        <Bars plan={plan} />
      )}
      {trouble ? (
        <p role="alert" className="drawing-problem">
          {trouble}
        </p>
      ) : null}
    </div>
  );
}
