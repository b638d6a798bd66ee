import { isDate } from '@sprocket/core';
import type { Express } from 'express';

/** A day’s weather as the stand-in tells it. */
export interface WeatherDay {
  day: string;
  temperatureC: number;
  windMs: number;
  /** Where it comes from, degrees from north. */
  windFrom: number;
  wet: boolean;
  words: string;
}

/** A number between 0 and 1 of a text: the same each time. */
function drawn(text: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d);
  h = Math.imul(h ^ (h >>> 12), 0x297a2d39);
  return ((h ^ (h >>> 15)) >>> 0) / 2 ** 32;
}

/** The gorge’s weather on a day: made up from its date, mild summers, raw winters, wind mostly up the gorge. */
export function weatherOn(day: string): WeatherDay {
  const [year = 2026, month = 1, date = 1] = day.split('-').map(Number);
  const season = Math.cos(((month - 1 + date / 31 - 6.5) / 6) * Math.PI);
  const temperatureC = Math.round(10 + 9 * season + (drawn(`t${day}`) - 0.5) * 9);
  const windMs = Math.round((1 + 6 * drawn(`w${day}`) ** 1.6) * 2) / 2;
  const windFrom = Math.round((240 + (drawn(`d${day}`) - 0.5) * (drawn(`e${day}`) < 0.75 ? 60 : 300) + 360) % 360);
  const wet = drawn(`r${year}${day}`) < 0.3;
  const sky = wet ? 'showers' : drawn(`s${day}`) < 0.5 ? 'bright' : 'overcast';
  const blow = windMs < 2 ? 'hardly a breath of wind' : windMs < 4.5 ? 'a breeze' : 'windy';
  return { day, temperatureC, windMs, windFrom, wet, words: `${sky}, ${blow}` };
}

/** The weather’s address: a stand-in, said to be one. */
export function weather(app: Express): void {
  app.get('/api/weather', (req, res) => {
    const { day } = req.query;
    if (typeof day !== 'string' || !isDate(day)) {
      res.status(400).json({ error: 'day: must be a date, 2026-05-01' });
      return;
    }
    res.json({ standIn: true, ...weatherOn(day) });
  });
}
