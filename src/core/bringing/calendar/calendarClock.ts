import ICAL from 'ical.js';
import { readDay, type Day } from '../../dates/civil';
import { isTimeZone, momentOf, wallClockOf, type Moment, type WallClock } from '../../dates/zone';

/** A property of jCal (RFC 7265): its name, its parameters, its type and its values. */
export type Property = [
  name: string,
  parameters: Record<string, string | string[]>,
  type: string,
  ...values: unknown[],
];

const DAY_MS = 86_400_000;

/** A day, with the time on a clock of a zone or without. */
export interface Stamp {
  day: Day;
  time?: number;
  zone: string;
}

/** Reads what a calendar says of times, with the zones that it brings along. */
export class CalendarClock {
  readonly #brought = new Map<string, InstanceType<typeof ICAL.Timezone>>();
  /** names of zones that nothing is known of */
  readonly unknown = new Set<string>();

  constructor(
    zones: readonly string[],
    readonly own: string,
  ) {
    for (const content of zones.slice(0, 500))
      try {
        const component = ICAL.Component.fromString(content);
        const tzid = String(component.getFirstPropertyValue('tzid') ?? '');
        this.#brought.set(tzid, new ICAL.Timezone({ component, tzid }));
      } catch {
        // What names it is in doubt.
      }
  }

  /** The first value of a property as a day or a time; undefined where there is no such day. */
  read(property: Property | undefined, value: unknown = property?.[3]): Stamp | undefined {
    const found = /^(\d{4}-\d\d-\d\d)(?:T(\d\d):(\d\d):(\d\d)(Z?))?$/.exec(
      typeof value === 'string' ? value : '',
    );
    const day = found ? readDay(found[1]!) : undefined;
    if (!property || !found || day === undefined) return undefined;
    if (found[2] === undefined) return { day, zone: this.own };
    const [hours, minutes, seconds] = [Number(found[2]), Number(found[3]), Number(found[4])];
    if (hours > 23 || minutes > 59 || seconds > 60) return undefined;
    const zone = found[5] ? 'UTC' : this.zoneOf(property);
    return { day, time: ((hours * 60 + minutes) * 60 + seconds) * 1000, zone };
  }

  zoneOf([, parameters]: Property): string {
    const tzid = String(parameters.tzid ?? '');
    if (!tzid) return this.own;
    // "/vendor/Europe/Berlin", as some write it
    const parts = tzid.split('/');
    const name = [tzid, parts.slice(-3).join('/'), parts.slice(-2).join('/')].find(isTimeZone);
    if (name) return name;
    if (this.#brought.has(tzid)) return tzid;
    this.unknown.add(tzid);
    return this.own;
  }

  moment({ day, time = 0, zone }: Stamp): Moment {
    const brought = isTimeZone(zone) ? undefined : this.#brought.get(zone);
    if (!brought) return momentOf({ day, time }, zone);
    const local = new Date(day * DAY_MS + time);
    const at = ICAL.Time.fromData({
      year: local.getUTCFullYear(),
      month: local.getUTCMonth() + 1,
      day: local.getUTCDate(),
      hour: local.getUTCHours(),
      minute: local.getUTCMinutes(),
      second: local.getUTCSeconds(),
    });
    return day * DAY_MS + time - brought.utcOffset(at) * 1000;
  }

  /** What a clock in a zone shows; of a zone that a calendar brings along, the business's own. */
  show(moment: Moment, zone: string): WallClock {
    return wallClockOf(moment, isTimeZone(zone) ? zone : this.own);
  }
}
