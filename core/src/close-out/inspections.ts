import { edit, type Edited } from '../house/edit';
import type { House, Inspection, Task } from '../house/schema';
import type { NewId } from '../house/new-box';
import { itemAsks } from './inspection-items';
import { refuse, type Result } from '../units/result';

/** Something that an inspector wants put right. */
export interface Correction {
  readonly what: string;
  readonly room: string | undefined;
  readonly for: string;
  /** ISO date, or nothing. */
  readonly until: string;
  /** The line of the inspection that it belongs to. */
  readonly item?: string;
}

/** Writes a visit down: its result, and every correction as a line of the punch list. */
export function recordInspection(
  house: House,
  visit: Omit<Inspection, 'id' | 'result'> & { readonly result?: Inspection['result'] },
  corrections: readonly Correction[],
  by: string,
  newId: NewId,
): Result<Edited> {
  const empty = corrections.findIndex((one) => one.what.trim() === '');
  if (empty >= 0)
    return refuse(
      'empty',
      `corrections.${empty}.what`,
      `Correction ${empty + 1} says nothing. Write what is to be put right, or take it out.`,
    );
  const result = visit.result ?? (corrections.length > 0 ? 'corrections' : 'passed');
  if (result === 'passed' && corrections.length > 0)
    return refuse(
      'contradiction',
      'inspection.result',
      'It cannot have passed with corrections. Take them out, or choose "corrections".',
    );
  const isUnseen = Object.values(visit.items ?? {}).includes('not-seen');
  if (result === 'passed' && isUnseen && !visit.rooms)
    return refuse(
      'contradiction',
      'inspection.items',
      'Lines that were not seen have not passed. Mark them, name the rooms of a partial inspection, or choose "not done".',
    );
  return edit(house, `${visit.kind === 'rough' ? 'Rough' : 'Final'} inspection of ${visit.date}`, (draft) => {
    const id = newId('inspection');
    draft.inspections[id] = {
      ...visit,
      id,
      result,
      ...(visit.rooms ? { rooms: [...visit.rooms] } : {}),
      ...(visit.items ? { items: { ...visit.items } } : {}),
    };
    for (const one of corrections) {
      const task = newId('task');
      draft.tasks[task] = {
        id: task,
        kind: 'correction',
        what: one.what.trim(),
        trade: 'electrician',
        due: visit.kind,
        state: 'open',
        by,
        date: visit.date,
        inspection: id,
        note: '',
        ...(one.room ? { room: one.room } : {}),
        ...(one.for.trim() ? { for: one.for.trim() } : {}),
        ...(one.until ? { until: one.until } : {}),
        ...(one.item ? { item: one.item } : {}),
      };
    }
  });
}

/** A visit with what it asked for and what of that is left. */
interface VisitState {
  readonly visit: Inspection;
  readonly corrections: readonly Task[];
  readonly open: number;
  /** Corrections that are done, and no later visit has passed: call the inspector again. */
  readonly isForAgain: boolean;
  /** Lines that were not looked at: what the next visit begins with, beside the corrections. */
  readonly unseen: readonly string[];
}

/** Every visit, the last one first. */
export function visitsOf(house: House): readonly VisitState[] {
  const tasks = Object.values(house.tasks);
  // Of two on one day the one written down later came later.
  const all = Object.values(house.inspections)
    .toReversed()
    .toSorted((a, b) => b.date.localeCompare(a.date));
  return all.map((visit, i) => {
    const corrections = tasks.filter((one) => one.inspection === visit.id);
    const open = corrections.filter((one) => one.state === 'open').length;
    const later = all.slice(0, i).some((one) => one.kind === visit.kind && one.result === 'passed');
    const unseen = Object.entries(visit.items ?? {}).flatMap(([item, said]) =>
      said === 'not-seen' ? [itemAsks(item) ?? item] : [],
    );
    return { visit, corrections, open, isForAgain: visit.result === 'corrections' && open === 0 && !later, unseen };
  });
}
