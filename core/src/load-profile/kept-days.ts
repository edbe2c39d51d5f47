import { indexOutlets } from '../circuits/outlets';
import { edit, type Edited } from '../house/edit';
import type { House, KeptDay } from '../house/schema';
import type { NewId } from '../house/new-box';
import { itemAt, refuse, type Result } from '../units/result';
import { typicalDay, type DayItem } from './typical';

/** A day as it is played. */
interface PlannedDay {
  /** All that the day knows, what does not run today among it. */
  readonly items: readonly DayItem[];
  /** Ids of what does not run. */
  readonly off: ReadonlySet<string>;
  /** What a person has to remember, in sentences. */
  readonly remember: readonly string[];
}

/** A kept day in the house as it stands. */
interface ReadDay extends PlannedDay {
  /** What was in the day and is no longer in the house. */
  readonly lost: readonly string[];
}

const isSame = (one: DayItem['runs'], other: DayItem['runs']): boolean =>
  one.length === other.length &&
  one.every(([from, to], i) => from === itemAt(other, i)[0] && to === itemAt(other, i)[1]);
/** The slots of a fitted day may end past midnight by rounding alone. */
const withinDay = (runs: DayItem['runs']): [number, number][] =>
  runs.map(([from, to]) => [Math.max(0, Math.min(1440, from)), Math.max(0, Math.min(1440, to))]);

/**
 * Keeps a day with the house under a name: what differs from a usual one, and what is brought along. A load that is set down later is in
 * it at its usual hours. A name that is taken already is kept anew.
 */
export function keepDay(
  house: House,
  name: string,
  day: PlannedDay,
  by: { readonly name: string; readonly date: string },
  newId: NewId,
): Result<Edited> {
  const called = name.trim();
  if (called === '') return refuse('empty', 'day.name', 'The day has no name. Type one, such as "on the generator".');
  const usual = new Map(typicalDay(house).map((one) => [one.id, one]));
  return edit(house, `Keep the day "${called}"`, (draft) => {
    const id = Object.values(house.days).find((one) => one.name === called)?.id ?? newId('day');
    draft.days[id] = {
      id,
      name: called,
      by: by.name,
      date: by.date,
      remember: [...day.remember],
      lines: day.items.flatMap((item): KeptDay['lines'] => {
        const its = usual.get(item.id);
        const { id: line, what, kind, device, va, motor } = item;
        const kept = { item: line, what, off: day.off.has(line), runs: withinDay(item.runs) };
        if (its) return isSame(its.runs, item.runs) && !kept.off ? [] : [kept];
        return [{ ...kept, brought: { kind, device, va, motor } }];
      }),
    };
  });
}

/** A kept day, in the house as it is now. */
export function readDay(house: House, day: KeptDay): ReadDay {
  const lines = new Map(day.lines.map((one) => [one.item, one]));
  const { byDevice } = indexOutlets(house);
  const usual = typicalDay(house).map((item): DayItem => {
    const line = lines.get(item.id);
    lines.delete(item.id);
    return line ? { ...item, runs: line.runs } : item;
  });
  const brought = [...lines.values()].flatMap(({ item, what, runs, brought: it }): DayItem[] =>
    it && byDevice.has(it.device) ? [{ id: item, what, runs, ...it }] : [],
  );
  const there = new Set([...usual, ...brought].map((one) => one.id));
  return {
    items: [...usual, ...brought],
    off: new Set(day.lines.flatMap((one) => (one.off && there.has(one.item) ? [one.item] : []))),
    remember: day.remember,
    lost: [...lines.values()].flatMap((one) => (there.has(one.item) ? [] : [one.what])),
  };
}
