import type { Ring } from '../gearParts.ts';

const ring = (teeth: number, mount: string, price: number, offsetMm = 0): Ring => ({
  kind: 'ring',
  id: `ring-${teeth}-${mount}${offsetMm === 0 ? '' : `-in${offsetMm}`}`,
  name: `${teeth} teeth, ${mount.replace('bcd', '')} mm${offsetMm === 0 ? '' : `, dished ${offsetMm} mm inward`}`,
  maker: 'Toothill',
  massKg: 0.1,
  price,
  note: '',
  teeth,
  mount,
  offsetM: offsetMm / 1000,
});
export const rings: readonly Ring[] = [
  ring(32, 'bcd104', 24),
  ring(36, 'bcd104', 24),
  ring(38, 'bcd104', 25),
  ring(42, 'bcd104', 26),
  ring(42, 'bcd104', 44, 6),
  ring(44, 'bcd104', 26),
  ring(46, 'bcd130', 28),
  ring(48, 'bcd130', 28),
];
