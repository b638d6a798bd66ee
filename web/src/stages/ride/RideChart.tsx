import { decimals, displayUnits, type RideSheet } from '@sprocket/core';
import { useMemo, useState } from 'react';
import { Area, CartesianGrid, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { useUnits } from '../../store/store.ts';
import { tickText } from '../../ui/manner.ts';

/** Points a line is drawn with at most: more than a screen has pixels shows nothing. */
const MOST = 260;

interface Row {
  at: number;
  i: number;
  height: number;
  speed: number;
  legs: number;
  motor: number;
  loss: number;
  charge: number;
  winding: number;
  volts: number;
}

type Panel = 'speed' | 'power' | 'charge' | 'heat';
const panelWords: Record<Panel, string> = {
  speed: 'Speed',
  power: 'Who pushes',
  charge: 'Charge and volts',
  heat: 'Winding’s heat',
};

/** The profile, and under it what was asked for: speed, power, charge or heat along the road. */
export function RideChart({
  sheet,
  index,
  onIndex,
}: {
  sheet: RideSheet;
  index: number;
  onIndex: (i: number) => void;
}) {
  const units = useUnits();
  const [panel, setPanel] = useState<Panel>('power');
  const way = displayUnits.way[units];
  const speed = displayUnits.speed[units];
  const warm = displayUnits.temperature[units];
  const height = displayUnits.height[units];
  const rows = useMemo((): Row[] => {
    const t = sheet.trace;
    const every = Math.max(1, Math.ceil(t.distanceM.length / MOST));
    const out: Row[] = [];
    let up = 0;
    for (let i = 0; i < t.distanceM.length; i++) {
      const step = (t.distanceM[i] as number) - (i > 0 ? (t.distanceM[i - 1] as number) : 0);
      up += step * (t.grade[i] as number);
      if (i % every !== 0 && i !== t.distanceM.length - 1) continue;
      // Powers jump from step to step; each point tells the mean of the steps it stands for.
      const from = Math.max(0, i - every + 1);
      const mean = (column: readonly number[]): number => {
        let sum = 0;
        for (let j = from; j <= i; j++) sum += column[j] as number;
        return sum / (i - from + 1);
      };
      const motor = mean(t.motorW);
      out.push({
        at: (t.distanceM[i] as number) / way.si,
        i,
        height: up / height.si,
        speed: (t.speedMs[i] as number) / speed.si,
        legs: mean(t.riderW),
        motor,
        loss: Math.max(0, mean(t.packW) - motor),
        charge: 100 * (t.charge[i] as number),
        winding: (t.windingC[i] as number) / warm.si - (warm.offset ?? 0),
        volts: mean(t.volts),
      });
    }
    return out;
  }, [sheet, way.si, speed.si, warm.si, warm.offset, height.si]);
  const cursor = ((sheet.trace.distanceM[index] as number) ?? 0) / way.si;
  const pick = (label: unknown): void => {
    const at = Number(label);
    if (!Number.isFinite(at)) return;
    const nearest = rows.reduce((a, b) => (Math.abs(b.at - at) < Math.abs(a.at - at) ? b : a), rows[0] as Row);
    onIndex(nearest.i);
  };
  const xAxis = (
    <XAxis
      dataKey="at"
      type="number"
      domain={[0, 'dataMax']}
      tickFormatter={tickText}
      unit={` ${way.sign}`}
      stroke="var(--soft)"
      tick={{ fill: 'var(--soft)', fontSize: 12 }}
      minTickGap={50}
    />
  );
  const yAxis = (
    unit: string,
    domain?: [number | 'auto' | 'dataMin', number | 'auto' | 'dataMax'],
    side: 'left' | 'right' = 'left',
    id = 'left',
  ) => (
    <YAxis
      yAxisId={id}
      orientation={side}
      unit={` ${unit}`}
      width={66}
      stroke="var(--soft)"
      tick={{ fill: 'var(--soft)', fontSize: 12 }}
      tickFormatter={(v: number) => `${Math.round(v)}`}
      {...(domain ? { domain } : {})}
    />
  );
  const shared = { data: rows, syncId: 'ride', margin: { top: 6, right: 12, bottom: 0, left: 0 } } as const;
  const line = { dot: false, strokeWidth: 2, isAnimationActive: false, yAxisId: 'left' } as const;
  return (
    <div className="ride-chart">
      <div className="walk" role="group" aria-label="Shown along the road">
        {(Object.keys(panelWords) as Panel[]).map((p) => (
          <button key={p} type="button" className="leg" aria-pressed={panel === p} onClick={() => setPanel(p)}>
            {panelWords[p]}
          </button>
        ))}
      </div>
      <div className="chart-box chart-low" aria-hidden="true">
        <ResponsiveContainer width="100%" height={96}>
          <ComposedChart
            {...shared}
            accessibilityLayer={false}
            onMouseMove={(state) => pick(state.activeLabel)}
            onClick={(state) => pick(state.activeLabel)}
          >
            <CartesianGrid stroke="var(--faint)" vertical={false} />
            <XAxis dataKey="at" type="number" domain={[0, 'dataMax']} hide />
            {yAxis(height.sign, ['auto', 'auto'])}
            {sheet.once.walkAtM.map((d) => (
              <ReferenceLine
                key={d}
                yAxisId="left"
                x={d / way.si}
                stroke="var(--stop)"
                strokeDasharray="3 3"
                label={{ value: 'walked', fill: 'var(--stop)', fontSize: 12, position: 'insideTopRight' }}
              />
            ))}
            {sheet.turnBackM === null ? null : (
              <ReferenceLine
                yAxisId="left"
                x={sheet.turnBackM / way.si}
                stroke="var(--measure)"
                strokeDasharray="6 3"
                label={{ value: 'half gone', fill: 'var(--measure)', fontSize: 12, position: 'insideTopRight' }}
              />
            )}
            <Area
              yAxisId="left"
              dataKey="height"
              stroke="var(--ink)"
              fill="var(--teal-wash)"
              fillOpacity={0.6}
              isAnimationActive={false}
            />
            <ReferenceLine yAxisId="left" x={cursor} stroke="var(--marmalade)" strokeWidth={2} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <div className="chart-box" aria-hidden="true">
        <ResponsiveContainer width="100%" height={190}>
          <ComposedChart
            {...shared}
            accessibilityLayer={false}
            onMouseMove={(state) => pick(state.activeLabel)}
            onClick={(state) => pick(state.activeLabel)}
          >
            <CartesianGrid stroke="var(--faint)" vertical={false} />
            {xAxis}
            {panel === 'speed' ? yAxis(speed.sign, [0, 'auto']) : null}
            {panel === 'speed' ? <Line {...line} dataKey="speed" stroke="var(--teal)" /> : null}
            {panel === 'power' ? yAxis('W', [0, 'auto']) : null}
            {panel === 'power' ? (
              <Area
                yAxisId="left"
                stackId="p"
                dataKey="legs"
                stroke="none"
                fill="var(--fits)"
                fillOpacity={0.75}
                isAnimationActive={false}
              />
            ) : null}
            {panel === 'power' ? (
              <Area
                yAxisId="left"
                stackId="p"
                dataKey="motor"
                stroke="none"
                fill="var(--marmalade)"
                fillOpacity={0.85}
                isAnimationActive={false}
              />
            ) : null}
            {panel === 'power' ? (
              <Area
                yAxisId="left"
                stackId="p"
                dataKey="loss"
                stroke="none"
                fill="var(--stop)"
                fillOpacity={0.55}
                isAnimationActive={false}
              />
            ) : null}
            {panel === 'charge' ? yAxis('%', [0, 100]) : null}
            {panel === 'charge' ? yAxis('V', ['auto', 'auto'], 'right', 'right') : null}
            {panel === 'charge' ? <Line {...line} dataKey="charge" stroke="var(--teal)" /> : null}
            {panel === 'charge' ? (
              <Line {...line} yAxisId="right" strokeWidth={1} dataKey="volts" stroke="var(--measure)" />
            ) : null}
            {panel === 'heat' ? yAxis(warm.sign, [0, 'auto']) : null}
            {panel === 'heat' ? <Line {...line} dataKey="winding" stroke="var(--stop)" /> : null}
            {panel === 'heat' ? (
              <ReferenceLine
                yAxisId="left"
                y={110 / warm.si - (warm.offset ?? 0)}
                stroke="var(--rework)"
                strokeDasharray="5 4"
                label={{ value: 'output folds back', fill: 'var(--rework)', fontSize: 12, position: 'insideTopLeft' }}
              />
            ) : null}
            <ReferenceLine yAxisId="left" x={cursor} stroke="var(--marmalade)" strokeWidth={2} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      {panel === 'power' ? (
        <p className="chart-key">
          <span className="key-legs">legs</span> <span className="key-motor">motor at the tyre</span>{' '}
          <span className="key-loss">lost on the way there</span>
        </p>
      ) : panel === 'charge' ? (
        <p className="chart-key">
          <span className="key-charge">charge</span> <span className="key-volts">volts under load</span>
        </p>
      ) : null}
      <ChartTable rows={rows} units={{ way: way.sign, speed: speed.sign, warm: warm.sign, height: height.sign }} />
    </div>
  );
}

/** The chart's figures, some forty points along the road. */
function ChartTable({
  rows,
  units,
}: {
  rows: readonly Row[];
  units: { way: string; speed: string; warm: string; height: string };
}) {
  const [open, setOpen] = useState(false);
  const every = Math.max(1, Math.floor(rows.length / 40));
  return (
    <details className="reasons chart-table" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>the same as a table</summary>
      {open ? (
        <div className="table-scroll" tabIndex={0} role="region" aria-label="Figures along the road, scrolls sideways">
          <table className="gears">
            <thead>
              <tr>
                <th scope="col">{units.way}</th>
                <th scope="col">height, {units.height}</th>
                <th scope="col">{units.speed}</th>
                <th scope="col">legs, W</th>
                <th scope="col">motor, W</th>
                <th scope="col">charge, %</th>
                <th scope="col">volts</th>
                <th scope="col">winding, {units.warm}</th>
              </tr>
            </thead>
            <tbody>
              {rows
                .filter((_, i) => i % every === 0)
                .map((r) => (
                  <tr key={r.i}>
                    <th scope="row">{decimals(r.at, 2)}</th>
                    <td>{decimals(r.height, 0)}</td>
                    <td>{decimals(r.speed, 1)}</td>
                    <td>{decimals(r.legs, 0)}</td>
                    <td>{decimals(r.motor, 0)}</td>
                    <td>{decimals(r.charge, 1)}</td>
                    <td>{decimals(r.volts, 1)}</td>
                    <td>{decimals(r.winding, 0)}</td>
                  </tr>
                ))}
            </tbody>
          </table>
        </div>
      ) : null}
    </details>
  );
}
