import { expect } from 'chai';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import type { Kit } from '../parts/kit.ts';
import { cellsByLabel, labelOf } from '../pack/byPlate.ts';
import { kitWatts, motorByPlate, type MotorPlate } from './byPlate.ts';

/** What would stand on a kit's plate: its free speed by its own volts. */
const plateOf = ({ family, controller, nominalVolts, motor }: Kit): MotorPlate => ({
  family,
  mostW: controller.batteryLimitA * nominalVolts,
  volts: nominalVolts,
  freeRpm: (nominalVolts / motor.ktNmPerA / motor.reduction) * (60 / (2 * Math.PI)),
  reduction: motor.reduction,
  gearEfficiency: motor.gearEfficiency,
});

describe('a motor by what its plate says', () => {
  it('each motor of the shelf is found again from the others: kt within 1 %, its winding within its spread', () => {
    let inside = 0;
    let all = 0;
    for (const kit of starterShelf.kit) {
      const others = starterShelf.kit.filter((k) => k.id !== kit.id);
      const found = motorByPlate(plateOf(kit), others);
      if (!found) continue;
      all++;
      expect(found.ktNmPerA / kit.motor.ktNmPerA, kit.id).to.be.closeTo(1, 0.01);
      const off = Math.abs(Math.log(found.resistanceOhm / kit.motor.resistanceOhm));
      expect(off, `${kit.id} ${found.resistanceOhm} of ${kit.motor.resistanceOhm}`).to.be.at.most(
        3.5 * found.resistanceSpread,
      );
      if (off <= found.resistanceSpread) inside++;
    }
    expect(all).to.be.greaterThan(24);
    // One standard deviation holds two in three, of a normal spread.
    expect(inside / all).to.be.greaterThan(0.6);
  });

  it('is unknown where the shelf has too few like it', () => {
    const hobby = starterShelf.kit.find((k) => k.family === 'sideChain') as Kit;
    expect(motorByPlate(plateOf(hobby), starterShelf.kit)).to.equal(null);
  });

  it('rated and most are told as both', () => {
    const kit = { ...(starterShelf.kit[0] as Kit), ratedW: 250, nominalVolts: 48 };
    kit.controller = { ...kit.controller, batteryLimitA: 21 };
    expect(kitWatts(kit)).to.deep.equal({ ratedW: 250, mostW: 1010 });
  });
});

describe('a battery by its label', () => {
  it('has the cells in a row that packs of the shelf with that label have', () => {
    for (const pack of starterShelf.pack) {
      const { volts, ah } = labelOf(pack);
      const found = cellsByLabel(pack.chemistry, volts, ah);
      expect(found.series, pack.id).to.equal(pack.series);
      expect(found.parallel * found.cellAh, pack.id).to.be.closeTo(ah, 1e-9);
      // What the whole pack resists, within a factor of two of the shelf's own.
      const ohm = (found.cellOhm * found.series) / found.parallel;
      const own = (pack.cellOhm * pack.series) / pack.parallel;
      expect(Math.abs(Math.log(ohm / own)), `${pack.id}: ${ohm} of ${own}`).to.be.lessThan(Math.log(2));
    }
    // As they are sold: 48 V of LFP is fifteen cells, of lithium thirteen.
    expect(cellsByLabel('lfp', 48, 20).series).to.equal(15);
    expect(cellsByLabel('nmc', 48, 14).series).to.equal(13);
    expect(cellsByLabel('nmc', 100.8, 14).series).to.equal(28);
  });
});
