import { expect } from 'chai';
import { usualLine } from './bill.ts';
import { doneSchema } from './asBuilt.ts';
import { newBuild, type Build } from './build.ts';
import { inWorkshopOf } from './workshop.ts';

const fresh = (id: string): Build => newBuild(id, id, '2026-01-01T00:00:00.000Z');

describe('a new build in the workshop of another', () => {
  it('takes hands, weekly times, tools at hand, money and shop, and nothing of its parts and days', () => {
    const other = fresh('a');
    other.bench = {
      hands: 2,
      practised: true,
      weekly: [{ day: 1, from: '19:00', to: '21:00' }],
      once: [{ on: '2026-02-01', from: '09:00', to: '12:00' }],
      away: ['2026-02-03'],
      done: { 'wheel-out': doneSchema.parse({ at: '2026-01-05T10:00' }) },
    };
    other.bill = {
      ...other.bill,
      currency: 'SEK',
      island: true,
      neededBy: '2026-03-01',
      shop: { ...other.bill.shop, hour: 60, invoice: { number: '1', on: '2026-01-09', hours: 3, paid: 5 } },
      lines: {
        'hex-keys@bench': { ...usualLine, from: 'have', name: 'Hex keys', note: 'in the red box' },
        'work-stand@bench': { ...usualLine, from: 'hire' },
        'torque-arm@rear axle': { ...usualLine, from: 'have' },
      },
    };
    const made = inWorkshopOf(other, fresh('b'));
    expect(made.bench).to.deep.equal({
      hands: 2,
      practised: true,
      weekly: [{ day: 1, from: '19:00', to: '21:00' }],
      once: [],
      away: [],
      done: {},
    });
    expect(made.bill).to.deep.equal({
      ...fresh('b').bill,
      currency: 'SEK',
      island: true,
      shop: { ...other.bill.shop, invoice: null },
      lines: { 'hex-keys@bench': { ...usualLine, from: 'have', name: 'Hex keys' } },
    });
    expect(made).to.deep.include({ id: 'b', choice: fresh('b').choice, donor: fresh('b').donor });
  });
});
