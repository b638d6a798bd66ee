import type { Point } from '@sprocket/core';
import type { ReactNode } from 'react';
import type { Sheet } from './frame.ts';
import { sideLabels, type Laid } from './placeLabels.ts';

/** A place of the vehicle with what is to be told of it. */
export interface PlacePin {
  place: string;
  at: Point;
}

interface PinsProps<P extends PlacePin> {
  sheet: Sheet;
  pins: readonly P[];
  /** The place in hand. */
  lit: string | null;
  /** What its plate takes beside the place's name, px. */
  room: (pin: P) => number;
  /** A sign before the name, drawn around its middle in units of a pixel. */
  sign?: (pin: P) => ReactNode;
  /** What stands at the plate's end: a few letters, or signs drawn around the plate's right edge. */
  end?: (pin: P) => string | ReactNode;
  /** How much of the plate's foot is filled. */
  share?: (pin: P) => number;
  /** A ring around the place in hand. */
  ring?: boolean;
  /** What it is called where its own text does not say it. */
  label?: (pin: P) => string;
  description?: (pin: P) => string;
  /** Without it pins are only looked at. */
  onPin?: (pin: P) => void;
}

const PLATE = 24;
/** Width of a letter of a place's name, px. */
const LETTER = 7.2;
/** A narrower sheet names the place in hand alone, in its corner; the list below names the others. */
const NARROW = 560;

/** Places with a plate each beside the vehicle, and a line from the one to the other: one look for every stage. */
export function PlacePins<P extends PlacePin>({ sheet, pins, lit, room, ...shown }: PinsProps<P>) {
  const { px } = sheet;
  const high = PLATE * px;
  const narrow = sheet.width / px < NARROW;
  const wide = pins.map((pin) => ({ ...pin, w: (room(pin) + pin.place.length * LETTER) * px }));
  const corner = wide.find((pin) => pin.place === lit) ?? wide[0];
  const laid = !narrow
    ? sideLabels(wide, sheet, high)
    : corner
      ? sideLabels([{ ...corner, at: { x: sheet.left, y: sheet.top } }], sheet, high).map((l) => ({
          ...l,
          at: corner.at,
        }))
      : [];
  return (
    <>
      {narrow
        ? pins
            .filter((pin) => pin.place !== corner?.place)
            .map(({ place, at }) => <circle key={place} cx={at.x} cy={-at.y} r={3.4 * px} className="pin-dot" />)
        : null}
      {laid.map((pin) => (
        <Plate key={pin.place} pin={pin} px={px} high={high} lit={pin.place === lit} {...shown} />
      ))}
    </>
  );
}

interface PlateProps<P extends PlacePin> extends Omit<PinsProps<P>, 'sheet' | 'pins' | 'lit' | 'room'> {
  pin: Laid<P & { w: number }>;
  px: number;
  high: number;
  lit: boolean;
}

function Plate<P extends PlacePin>({ pin, px, high, lit, ...shown }: PlateProps<P>) {
  const { place, at, x, y, w, end: lineEnd } = pin;
  const { sign, end, share, ring, label, description, onPin } = shown;
  const said = end?.(pin);
  const told = {
    ...(label ? { 'aria-label': label(pin) } : {}),
    ...(description ? { 'aria-description': description(pin) } : {}),
  };
  const pressed = onPin
    ? {
        role: 'button',
        tabIndex: 0,
        onClick: () => onPin(pin),
        onKeyDown: (event: { key: string; preventDefault: () => void }) => {
          if (event.key !== 'Enter' && event.key !== ' ') return;
          event.preventDefault();
          onPin(pin);
        },
      }
    : { role: 'img' };
  return (
    <g className={`${onPin ? 'place-pin' : 'place-told'}${lit ? ' place-lit' : ''}`} {...pressed} {...told}>
      <line x1={at.x} y1={-at.y} x2={lineEnd.x} y2={-lineEnd.y} className="pin-line" strokeWidth={1.1 * px} />
      {ring && lit ? <circle cx={at.x} cy={-at.y} r={15 * px} className="place-ring" strokeWidth={3.2 * px} /> : null}
      <circle cx={at.x} cy={-at.y} r={3.4 * px} className="pin-dot" />
      <rect x={x} y={-y - high} width={w} height={high} rx={3 * px} className="pin-plate" strokeWidth={1.2 * px} />
      {share ? <rect x={x} y={-y - 3.4 * px} width={w * share(pin)} height={3.4 * px} className="place-share" /> : null}
      {sign ? <g transform={`translate(${x + 13 * px} ${-y - high / 2}) scale(${px * 1.15})`}>{sign(pin)}</g> : null}
      <text x={x + (sign ? 25 : 7) * px} y={-y - 8 * px} fontSize={13 * px} className="pin-text">
        {place}
      </text>{' '}
      {typeof said === 'string' ? (
        <text x={x + w - 7 * px} y={-y - 8 * px} fontSize={13 * px} className="pin-text pin-count" textAnchor="end">
          {said}
        </text>
      ) : said ? (
        <g transform={`translate(${x + w} ${-y - high / 2}) scale(${px})`}>{said}</g>
      ) : null}
    </g>
  );
}
