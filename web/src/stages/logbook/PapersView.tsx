import { Button, Textarea, TextInput } from '@mantine/core';
import { docHtml, handoverDoc, isDate, reportDoc, type Doc, type Handover, type PaperPhoto } from '@sprocket/core';
import { useMemo, useState } from 'react';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend, useUnits } from '../../store/store.ts';
import { Paper } from '../../sheet/Paper.tsx';
import { usePlan, usePlanContext } from '../../sheet/PlanProvider.tsx';
import { photosInOrder } from '../../storage/photos.ts';
import { downloadText } from '../../ui/download.ts';
import { paperFonts } from '../../ui/paperFonts.ts';

type Which = 'handover' | 'report';

/** The owner’s sheet and the whole build’s report: read, printed, or kept as one file. */
export function PapersView({ now }: { now: string }) {
  const build = useBuild();
  const plan = usePlan();
  const context = usePlanContext();
  const units = useUnits();
  const send = useSend();
  const [which, setWhich] = useState<Which>('handover');
  const [photos, setPhotos] = useState<readonly PaperPhoto[]>([]);
  const { handover } = build.log;
  const set = (change: Partial<Handover>): void => {
    send(buildActions.handoverSaid({ field: `log.handover.${Object.keys(change)[0] ?? ''}`, value: change }));
  };
  const doc = useMemo(
    (): Doc =>
      which === 'handover' ? handoverDoc(context, plan, build) : reportDoc(context, plan, build, now, photos),
    [which, context, plan, build, now, photos],
  );
  const dear = plan.parts.bill.lines
    .filter((l) => l.price !== null && l.price >= 40 && l.kind !== 'service')
    .slice(0, 12);
  const name = `${build.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}-${which}`;
  const pick = async (next: Which): Promise<void> => {
    setWhich(next);
    if (next === 'report') setPhotos(await photosInOrder(build.id));
  };
  return (
    <div className="papers-view">
      <section className="card no-print" aria-labelledby="papers-title">
        <div className="card-head">
          <h2 id="papers-title">Papers</h2>
          <span className="row">
            <span className="pills" role="group" aria-label="Which paper">
              <button
                type="button"
                className="pill"
                aria-pressed={which === 'handover'}
                onClick={() => void pick('handover')}
              >
                Handover sheet
              </button>
              <button
                type="button"
                className="pill"
                aria-pressed={which === 'report'}
                onClick={() => void pick('report')}
              >
                Report of the build
              </button>
            </span>
            <Button variant="default" onClick={() => window.print()}>
              Print
            </Button>
            <Button
              variant="default"
              onClick={() =>
                void paperFonts().then((fonts) => downloadText(`${name}.html`, docHtml(doc, units, fonts), 'text/html'))
              }
            >
              Keep as one file
            </Button>
          </span>
        </div>
        {which === 'handover' ? (
          <>
            <div className="fields">
              <TextInput
                label="Handed over to"
                value={handover.owner}
                onChange={(e) => set({ owner: e.currentTarget.value })}
              />
              <TextInput
                label="Made by"
                placeholder={build.built.builder}
                value={handover.maker}
                onChange={(e) => set({ maker: e.currentTarget.value })}
              />
              <TextInput
                type="date"
                label="On"
                value={handover.on ?? ''}
                onChange={(e) => set({ on: isDate(e.currentTarget.value) ? e.currentTarget.value : null })}
              />
            </div>
            <Textarea
              label="What else the owner should know"
              autosize
              minRows={2}
              value={handover.words}
              onChange={(e) => set({ words: e.currentTarget.value })}
            />
            {dear.length > 0 ? (
              <details>
                <summary>Guarantees: last day of each</summary>
                <div className="fields">
                  {dear.map((l) => (
                    <TextInput
                      key={l.key}
                      type="date"
                      label={l.name}
                      value={handover.guarantees[l.key] ?? ''}
                      onChange={(e) => {
                        const rest = Object.fromEntries(
                          Object.entries(handover.guarantees).filter(([key]) => key !== l.key),
                        );
                        const on = e.currentTarget.value;
                        set({ guarantees: isDate(on) ? { ...rest, [l.key]: on } : rest });
                      }}
                    />
                  ))}
                </div>
              </details>
            ) : null}
          </>
        ) : null}
      </section>
      <Paper doc={doc} />
    </div>
  );
}
