/** For tests: zones on both sides of Greenwich, with summer times at opposite ends of the year. */
export const zones = ['UTC', 'Europe/Berlin', 'Pacific/Auckland'] as const;

/** What comes of something in each zone, as if the machine stood there. */
export async function inZones<T>(make: (zone: string) => T | Promise<T>): Promise<Record<string, T>> {
  const here = process.env.TZ;
  const out: Record<string, T> = {};
  try {
    for (const zone of zones) {
      process.env.TZ = zone;
      out[zone] = await make(zone);
    }
  } finally {
    if (here === undefined) Reflect.deleteProperty(process.env, 'TZ');
    else process.env.TZ = here;
  }
  return out;
}
