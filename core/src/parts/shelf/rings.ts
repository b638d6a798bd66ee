import type { Ring } from '../gearParts.ts';

const ring = (teeth: number, mount: string, price: number): Ring => ({
  kind: 'ring',
  id: `ring-${teeth}-${mount}`,
  name: `${teeth} teeth, ${mount.replace('bcd', '')} mm`,
  maker: 'Toothill',
  massKg: 0.1,
  price,
  note: '',
  teeth,
  mount,
});
export const rings: readonly Ring[] = [
  ring(32, 'bcd104', 24),
  ring(36, 'bcd104', 24),
  ring(38, 'bcd104', 25),
  ring(42, 'bcd104', 26),
  ring(44, 'bcd104', 26),
  ring(46, 'bcd130', 28),
  ring(48, 'bcd130', 28),
];
