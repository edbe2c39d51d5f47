import { inTurn } from '../edits/circuit-verbs';
import { addEntity } from '../edits/verbs';
import { smallestNmFor, STANDARD_RATINGS_A } from '../electrical/conductors';
import type { Edited } from '../house/edit';
import type { NewId } from '../house/new-box';
import type { Circuit, House, Panel } from '../house/schema';
import { given, mustGet, refuse, type Problem, type Result, succeed } from '../units/result';

/** A breaker as a line of an old directory names it. */
interface DirectoryEntry {
  /** Line of the text, from 1. */
  readonly line: number;
  readonly spaces: readonly number[];
  readonly half: Circuit['half'];
  readonly ratingA: number;
  readonly name: string;
}

const FORM =
  /^(?<space>\d{1,2})\s*(?:(?:-|–|,|\/|&)\s*(?<second>\d{1,2}))?\s*(?<half>[ab](?=[\s.:)]))?\s*[.:)]?\s+(?<rest>.+)$/i;
const RATED =
  /^(?<rating>\d{1,3})\s*(?:a|amps?)?\s*(?:\/\s*(?<poles>[12])|(?<two>2\s*p(?:oles?)?)\b)?(?:\s+|[,:]\s*|$)(?<name>.*)$/i;
const EMPTY = /^(?:spare|space|blank|empty|open|unused|[-–—]+)$/i;
const EXAMPLE = '5 20 Kitchen counter, or 1-3 50 Range';

/** One line; undefined where it says that nothing is there. */
function readLine(text: string, line: number, { name: panel, spaces }: Panel): Result<DirectoryEntry | undefined> {
  const wrong = (message: string) => refuse('directory', `line ${line}`, `Line ${line}: ${message}`);
  const read = FORM.exec(text)?.groups;
  if (!read) return wrong(`“${text}” begins with no space. Write ${EXAMPLE}.`);
  const first = Number(read['space']);
  const rest = mustGet(read as Record<string, string>, 'rest').trim();
  if (EMPTY.test(rest)) return succeed(undefined);
  const rated = RATED.exec(rest)?.groups;
  if (!rated)
    return wrong(`“${rest}” names no breaker in amperes. Write ${EXAMPLE}; what is empty is written 9 spare.`);
  const ratingA = Number(rated['rating']);
  if (EMPTY.test((rated['name'] ?? '').trim())) return succeed(undefined);
  if (!STANDARD_RATINGS_A.some((one) => one === ratingA))
    return wrong(`there is no breaker of ${ratingA} A. Write its amperes after the space: ${EXAMPLE}.`);
  const name = (rated['name'] ?? '').trim();
  if (name === '') return wrong(`what the breaker of ${ratingA} A feeds is not said. Write ${EXAMPLE}.`);
  const second = read['second'] === undefined ? undefined : Number(read['second']);
  if (second !== undefined && second !== first + 2)
    return wrong(
      `a two-pole breaker takes two spaces below each other, ${first}-${first + 2}, not ${first}-${second}.`,
    );
  const isTwo = second !== undefined || rated['poles'] === '2' || rated['two'] !== undefined;
  if (isTwo && rated['poles'] === '1') return wrong('a breaker of one pole takes one space.');
  if (isTwo && read['half']) return wrong('a breaker of two poles takes whole spaces, no half of one.');
  const taken = isTwo ? [first, first + 2] : [first];
  const beyond = taken.find((one) => one < 1 || one > spaces);
  if (beyond !== undefined) return wrong(`${panel} has no space ${beyond}; its last is ${spaces}.`);
  return succeed({
    line,
    spaces: taken,
    half: read['half']?.toLowerCase() as Circuit['half'],
    ratingA,
    name: name.slice(0, 80),
  });
}

/** Who stands in each space, and in which half, by name. */
function standing(house: House, panel: Panel): { at: number; half: Circuit['half']; name: string }[] {
  const spacesOf = (space: number | null, poles: number) =>
    space === null ? [] : poles === 2 ? [space, space + 2] : [space];
  return [
    ...Object.values(house.circuits).flatMap((one) =>
      one.panel === panel.id
        ? spacesOf(one.space, one.poles).map((at) => ({ at, half: one.half, name: one.name }))
        : [],
    ),
    ...Object.values(house.feeders).flatMap((one) =>
      one.from === panel.id
        ? spacesOf(one.space, one.poles).map((at) => ({
            at,
            half: undefined,
            name: `the feeder of ${house.panels[one.to]?.name ?? ''}`,
          }))
        : [],
    ),
  ];
}

/** What is written in the directory of a panel, line by line; every line that cannot be read is a problem of its own. */
export function readDirectory(house: House, panelId: string, text: string): Result<readonly DirectoryEntry[]> {
  const panel = house.panels[panelId];
  if (!panel) return refuse('missing', `panels.${panelId}`, 'This panel is no longer there.');
  const there = standing(house, panel);
  const problems: Problem[] = [];
  const entries: DirectoryEntry[] = [];
  text.split('\n').forEach((raw, i) => {
    if (raw.trim() === '') return;
    const read = readLine(raw.trim(), i + 1, panel);
    if (!read.ok) return void problems.push(...read.problems);
    if (!read.value) return;
    const entry = read.value;
    const clash = there.find(
      ({ at, half }) =>
        entry.spaces.includes(at) && (half === undefined || entry.half === undefined || half === entry.half),
    );
    if (clash)
      return void problems.push({
        code: 'directory',
        path: `line ${entry.line}`,
        message: `Line ${entry.line}: space ${clash.at} holds ${clash.name}. Leave the line out, or free the space first.`,
      });
    there.push(...entry.spaces.map((at) => ({ at, half: entry.half, name: entry.name })));
    entries.push(entry);
  });
  if (problems.length > 0) return { ok: false, problems };
  if (entries.length === 0)
    return refuse('directory', 'line 1', `No breaker is named. Write a line for each: ${EXAMPLE}.`);
  return succeed(entries);
}

/**
 * The circuits that the directory of a panel names, each in its space, as one edit. They stand as they are: planning leaves them alone.
 * Their conductors are the least for their breakers until somebody reads them.
 */
export function addDirectory(house: House, panelId: string, text: string, newId: NewId): Result<Edited> {
  const read = readDirectory(house, panelId, text);
  if (!read.ok) return read;
  return inTurn(
    `Type ${read.value.length} circuits`,
    house,
    read.value.map(
      ({ spaces, half, ratingA, name }) =>
        (now: House) =>
          addEntity(now, 'circuits', {
            id: newId('circuit'),
            name,
            purpose: 'general',
            poles: spaces.length === 2 ? 2 : 1,
            ratingA,
            awg: smallestNmFor(ratingA, ratingA, false) ?? '2',
            // What the door of a panel does not say: the fitting size is supposed.
            unread: true,
            breaker: 'auto',
            gfciFirst: null,
            locked: true,
            panel: panelId,
            space: given(spaces[0]),
            ...(half ? { half } : {}),
          }),
    ),
  );
}
