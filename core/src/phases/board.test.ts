import { describe, expect, it } from 'vitest';
import { itemAsks } from '../close-out/inspection-items';
import { recordInspection, visitsOf } from '../close-out/inspections';
import { evidenceOf } from '../close-out/evidence';
import { saidBy, testScript } from '../close-out/test-script';
import { settleTask, writeTasks } from '../brief/other-trades';
import { addEntity } from '../edits/verbs';
import type { NewId } from '../house/new-box';
import { edit } from '../house/edit';
import { PHASES, type House, type Phase, type Photo } from '../house/schema';
import { byTheTool } from '../test/by-the-tool';
import { newDevice } from '../house/schema-equipment';
import { markDrop } from '../route/keep-routes';
import { routed } from '../test/routed';
import { must } from '../test/must';
import { ranchHouse } from '../test/ranch-house';
import { smallHouse } from '../test/small-house';
import { boardOf, phaseOf } from './board';

const counter = (): NewId => {
  let n = 0;
  return (prefix) => `${prefix}-p${++n}`;
};
const change = (house: House, recipe: Parameters<typeof edit>[2]): House => must(edit(house, 'Test', recipe)).house;
const cell = (house: House, room: string, phase: Phase, signed?: House) =>
  boardOf(house, signed && { house: signed, number: 1 })
    .find((one) => one.room.id === room)!
    .cells.find((one) => one.phase === phase)!;
const photoOf = (id: string, room: string, wall: string): Photo => ({
  id,
  at: { kind: 'wall', room, wall, alongIn: 10 },
  phase: 'pulled',
  note: '',
  by: 'A',
  date: '2026-11-30',
  widthPx: 800,
  heightPx: 600,
});

/** Everything that is ticked, signed, passed, photographed and tested, in the order of the job. */
function finished(house: House): { readonly house: House; readonly signed: House } {
  const laid = routed(house);
  const done = change(laid, (draft) => {
    for (const box of Object.values(draft.boxes)) {
      box.progress = 'trimmed';
      for (const one of Object.values(box.devices)) if (one.kind === 'low-voltage') one.done = ['pulled'];
    }
    for (const route of Object.values(draft.routes)) route.done = ['bored', 'pulled'];
    for (const step of testScript(laid))
      draft.results[step.id] = {
        id: step.id,
        reading: 'right',
        said: saidBy(step),
        by: 'A',
        date: '2026-11-30',
        note: '',
      };
    for (const kind of ['rough', 'final'] as const)
      draft.inspections[kind] = { id: kind, kind, date: '2026-11-30', inspector: 'I', result: 'passed', note: '' };
  });
  return { house: done, signed: done };
}

describe('the board of phases', () => {
  const house = byTheTool(smallHouse('2023'));
  const [room] = boardOf(house).map((one) => one.room);

  it('counts cables of low voltage with those of power as they are pulled; a sleeve waits for one', () => {
    const drops = (['data', 'coax', 'sleeve'] as const).map((system, n) =>
      newDevice('low-voltage', `drop-${n}`, { system }),
    );
    const led = change(routed(house), (draft) => {
      const box = Object.values(draft.boxes).find((one) => one.room === room!.id && one.at.kind === 'wall')!;
      for (const one of drops) box.devices[one.id] = one;
      box.gangs = 4;
    });
    const of = cell(routed(house), room!.id, 'pulled').of + 2;
    expect(cell(led, room!.id, 'pulled')).toMatchObject({ of, done: 0 });
    const pulled = must(markDrop(led, 'drop-1', 'pulled', true)).house;
    expect(cell(pulled, room!.id, 'pulled')).toMatchObject({ of, done: 1 });
    expect(cell(pulled, room!.id, 'bored').of).toBe(of - 2);
    const labeled = must(markDrop(pulled, 'drop-1', 'labeled', true)).house;
    const again = must(markDrop(labeled, 'drop-1', 'pulled', false)).house;
    expect(Object.values(again.boxes).flatMap((box) => box.devices['drop-1'] ?? [])).toMatchObject([
      { done: ['labeled'] },
    ]);
    const none = must(markDrop(again, 'drop-1', 'labeled', false)).house;
    expect(Object.values(none.boxes).flatMap((box) => box.devices['drop-1'] ?? [])[0]).not.toHaveProperty('done');
  });

  it('reads how far each room is from the document alone, and what is to be done first', () => {
    for (const { cells } of boardOf(house)) {
      expect(cells.map((one) => one.phase)).toEqual(PHASES);
      expect(cells.slice(1).every((one) => one.state !== 'begun')).toBe(true);
    }
    expect(cell(house, room!.id, 'walk')).toMatchObject({ state: 'ready', done: 0, blocked: [] });
    expect(cell(house, room!.id, 'signed').blocked).toEqual(['no revision is signed', 'walk first']);
    expect(cell(house, room!.id, 'pulled').blocked).toContain('no route of its cables is found yet');
    expect(phaseOf(boardOf(house))).toBe('walk');
  });

  it('is done in every phase once all is ticked, signed, passed and tested', () => {
    const all = finished(house);
    const board = boardOf(all.house, { house: all.signed, number: 1 });
    const left = board.flatMap(({ room: one, cells }) =>
      cells
        .filter(({ state }) => state !== 'done' && state !== 'none')
        .map((each) => `${one.name} ${each.phase}: ${each.blocked.join()}`),
    );
    expect(left).toEqual([]);
    expect(phaseOf(board)).toBe('final');
  });

  it('takes back what changes: a moved box unsigns its room, a wrong test and a correction block it', () => {
    const all = finished(house);
    const moved = change(all.house, (draft) => {
      const box = Object.values(draft.boxes).find((one) => one.room === room!.id && one.at.kind === 'wall')!;
      if (box.at.kind === 'wall') box.at.heightIn += 1;
    });
    expect(cell(moved, room!.id, 'signed', all.signed)).toMatchObject({ state: 'blocked' });
    expect(cell(moved, room!.id, 'signed', all.signed).blocked[0]).toContain('1 change since revision 1');
    const step = testScript(all.house).find((one) => one.room?.id === room!.id && one.kind === 'receptacle')!;
    const wrong = change(all.house, (draft) => void (draft.results[step.id]!.reading = 'open-ground'));
    expect(cell(wrong, room!.id, 'test', all.signed)).toMatchObject({ state: 'blocked', blocked: ['1 test wrong'] });
  });

  it('is held by open work of other trades in its room and in the house, and by nobody else', () => {
    const [one, other] = boardOf(house).map((row) => row.room);
    const written = must(
      writeTasks(
        house,
        [{ what: 'Backing', trade: 'carpenter', due: 'walk', room: one!.id }],
        { by: 'A', date: '2026-11-30' },
        counter(),
      ),
    ).house;
    expect(cell(written, one!.id, 'walk')).toMatchObject({ state: 'blocked', blocked: ['carpenter: Backing'] });
    expect(cell(written, other!.id, 'walk').blocked).toEqual(cell(house, other!.id, 'walk').blocked);
    const [task] = Object.values(written.tasks);
    const settled = must(settleTask(written, task!.id, 'done', { name: 'B', date: '2026-12-01' })).house;
    expect(cell(settled, one!.id, 'walk')).toEqual(cell(house, one!.id, 'walk'));
  });
});

it('takes a room as insulated once whoever insulates has said so, whatever the photos', () => {
  const house = byTheTool(smallHouse('2023'));
  const [room] = boardOf(house).map((one) => one.room);
  expect(cell(house, room!.id, 'insulation')).toMatchObject({ done: 0 });
  const written = must(
    writeTasks(
      house,
      [{ what: 'Batts', trade: 'insulation', due: 'insulation', room: undefined }],
      { by: 'A', date: '2026-11-30' },
      counter(),
    ),
  ).house;
  const done = must(
    settleTask(written, Object.keys(written.tasks)[0]!, 'done', { name: 'B', date: '2026-12-01' }),
  ).house;
  expect(cell(written, room!.id, 'insulation')).toMatchObject({ done: 0 });
  expect(cell(done, room!.id, 'insulation')).toMatchObject({ done: 1, state: 'done' });
});

describe('an inspection', () => {
  const house = byTheTool(smallHouse('2023'));
  const [room] = boardOf(house).map((one) => one.room);
  const visit = { kind: 'rough', date: '2026-12-01', inspector: 'I', note: '' } as const;

  it('turns corrections into lines of the punch list, and calls again once they are done', () => {
    const asked = must(
      recordInspection(
        house,
        visit,
        [{ what: 'Staple within 12 in', room: room!.id, for: 'Bo', until: '2026-12-03' }],
        'A',
        counter(),
      ),
    ).house;
    const [task] = Object.values(asked.tasks);
    expect(task).toMatchObject({ kind: 'correction', due: 'rough', room: room!.id, for: 'Bo', until: '2026-12-03' });
    expect(cell(asked, room!.id, 'rough').blocked[0]).toBe('corrections of 2026-12-01 by I');
    expect(cell(asked, room!.id, 'rough').people).toEqual(['Bo']);
    expect(visitsOf(asked)[0]).toMatchObject({ open: 1, isForAgain: false });
    const mended = must(settleTask(asked, task!.id, 'done', { name: 'Bo', date: '2026-12-02' })).house;
    expect(visitsOf(mended)[0]).toMatchObject({ open: 0, isForAgain: true });
    const passed = must(recordInspection(mended, visit, [], 'A', (prefix) => `${prefix}-q`)).house;
    expect(visitsOf(passed).map((one) => [one.visit.result, one.isForAgain])).toEqual([
      ['passed', false],
      ['corrections', false],
    ]);
    expect(cell(passed, room!.id, 'rough').done).toBe(1);
  });

  it('says of each line what was said, and keeps what was not seen for the next visit', () => {
    const said = { 'r-fill': 'passed', 'r-holes': 'correct', 'r-fire': 'not-seen' } as const;
    const correction = { what: 'Plate', room: undefined, for: '', until: '', item: 'r-holes' };
    const asked = must(recordInspection(house, { ...visit, items: said }, [correction], 'A', counter())).house;
    expect(visitsOf(asked)[0]!.unseen).toEqual([itemAsks('r-fire')]);
    expect(Object.values(asked.tasks)[0]).toMatchObject({ kind: 'correction', item: 'r-holes' });
    // What nobody has looked at has not passed, but for rooms that were left for later.
    const unseen = { ...visit, items: { 'r-fire': 'not-seen' } } as const;
    expect(recordInspection(house, unseen, [], 'A', counter())).toMatchObject({
      ok: false,
      problems: [{ path: 'inspection.items' }],
    });
    expect(recordInspection(house, { ...unseen, rooms: [room!.id] }, [], 'A', counter()).ok).toBe(true);
  });

  it('of some rooms passes these alone', () => {
    const [one, other] = boardOf(house).map((row) => row.room);
    const part = must(recordInspection(house, { ...visit, rooms: [one!.id] }, [], 'A', counter())).house;
    expect([cell(part, one!.id, 'rough').done, cell(part, other!.id, 'rough').done]).toEqual([1, 0]);
  });

  it.each([
    [
      'a correction that says nothing',
      [{ what: ' ', room: undefined, for: '', until: '' }],
      undefined,
      'corrections.0.what',
    ],
    ['a pass with corrections', [{ what: 'x', room: undefined, for: '', until: '' }], 'passed', 'inspection.result'],
  ] as const)('refuses %s', (_, corrections, result, path) => {
    expect(
      recordInspection(house, { ...visit, ...(result ? { result } : {}) }, corrections, 'A', counter()),
    ).toMatchObject({
      ok: false,
      problems: [{ path }],
    });
  });
});

it('knows which walls nobody has photographed before they are closed', () => {
  const house = byTheTool(ranchHouse('2023'));
  const room = Object.values(house.rooms).find((one) => one.kind === 'bedroom')!;
  const { missing } = evidenceOf(house, room);
  expect(missing.length).toBeGreaterThan(1);
  const one = must(addEntity(house, 'photos', photoOf('p1', room.id, missing[0]!))).house;
  expect(evidenceOf(one, room).missing).toEqual(missing.slice(1));
  // A photo of the finished wall shows nothing of what is in it.
  const late = must(addEntity(house, 'photos', { ...photoOf('p1', room.id, missing[0]!), phase: 'final' })).house;
  expect(evidenceOf(late, room).missing).toEqual(missing);
});
