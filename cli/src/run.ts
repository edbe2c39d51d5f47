import { parseArgs } from 'node:util';
import {
  boxesOfProposal,
  checkHouse,
  EDITIONS,
  formatLength,
  houseJsonSchema,
  placementLimits,
  proposeForHouse,
  proposeForRoom,
  readHouseFile,
  scheduleOf,
  writeScheduleCsv,
  type Edition,
  type Finding,
  type House,
} from '@winculum/core';

interface Outcome {
  /** 0 clean, 1 violations found, 2 the command or the file cannot be read. */
  readonly code: 0 | 1 | 2;
  readonly out: string;
  readonly err: string;
}

const HELP = `winculum: the code checks of Winculum on a house file

  winculum check FILE [--edition 2014|2017|2020|2023] [--json]
      findings with rule, section, severity, place, measured, required; exit 0 clean, 1 violations, 2 unreadable
  winculum schedule FILE [--csv]
      the panel schedules
  winculum place FILE [--room ID] [--json]
      the fewest receptacles that complete the wall spaces and counters
  winculum schema
      the JSON Schema of the house file

A plan is not permission: the adopted code, the authority having jurisdiction and a licensed electrician decide.
`;

const fail = (message: string): Outcome => ({ code: 2, out: '', err: `winculum: ${message}\n` });
const tell = (out: string, code: 0 | 1 = 0): Outcome => ({ code, out, err: '' });

function describeWhere(house: House, finding: Finding): string {
  const { room, box, circuit, panel } = finding.where;
  const parts = [
    room && house.rooms[room]?.name,
    box && house.boxes[box]?.tag,
    circuit && house.circuits[circuit]?.name,
    panel && house.panels[panel]?.name,
  ];
  return parts.filter(Boolean).join(', ') || 'house';
}

function toPlain(house: House, finding: Finding) {
  const { ruleId, section, severity, kind, message, measured, required, basis, edition, where } = finding;
  return {
    rule: ruleId,
    edition,
    section,
    severity,
    verdict: kind,
    place: describeWhere(house, finding),
    where,
    measured: measured ?? null,
    required: required ?? null,
    basis: `${basis.source}, ${basis.confidence}`,
    message,
  };
}

function check(house: House, edition: Edition | undefined, json: boolean): Outcome {
  const { findings, edition: effective } = checkHouse(house, { edition });
  const violations = findings.filter((one) => one.kind === 'fail' && one.severity === 'violation').length;
  const code = violations > 0 ? 1 : 0;
  if (json)
    return tell(
      `${JSON.stringify({ house: house.name, edition: effective, violations, findings: findings.map((one) => toPlain(house, one)) }, null, 2)}\n`,
      code,
    );
  const lines = findings.map((finding) => {
    const plain = toPlain(house, finding);
    const kind = plain.verdict === 'cannot-tell' ? 'cannot tell' : plain.severity;
    const numbers =
      plain.measured || plain.required
        ? `\n    measured ${plain.measured ?? '-'}; required ${plain.required ?? '-'}`
        : '';
    return `${kind}  ${plain.rule}  NEC ${effective} ${plain.section} (${plain.basis})\n    ${plain.place}: ${plain.message}${numbers}`;
  });
  const open = findings.filter((one) => one.kind === 'cannot-tell').length;
  return tell(
    [
      ...lines,
      `${violations} violations, ${open} open question${open === 1 ? '' : 's'}, ${findings.length - violations - open} other notes, NEC ${effective}`,
    ].join('\n') + '\n',
    code,
  );
}

function schedule(house: House, csv: boolean): Outcome {
  const panels = Object.keys(house.panels).map((id) => scheduleOf(house, id));
  if (panels.length === 0) return fail(`${house.name} has no panel.`);
  if (csv) return tell(panels.map(writeScheduleCsv).join('\r\n'));
  const text = panels.map((one) => {
    const rows = one.rows.flatMap((row) => {
      const one = row.circuit ?? row.feeder;
      if (!one) return [];
      const breaker = row.continued
        ? '  └'
        : `${String(one.ratingA).padStart(3)}A/${one.poles}p ${row.breaker}`.padEnd(14);
      return [`${String(row.space).padStart(3)} ${row.leg}  ${breaker}  ${row.directory}`];
    });
    const legs = `leg A ${Math.round(one.legVa.A)} VA, leg B ${Math.round(one.legVa.B)} VA, ${Math.round(one.imbalance * 100)} % apart, ${one.freeSpaces} spaces free`;
    return [`${one.panel.name}: ${one.panel.mainA} A main, ${one.panel.spaces} spaces`, ...rows, legs].join('\n');
  });
  return tell(`${text.join('\n\n')}\n`);
}

const WHERE = { stud: ', on a stud', bracket: ', between studs', floor: ', in a box listed for floors' } as const;

function place(house: House, roomId: string | undefined, json: boolean): Outcome {
  if (roomId !== undefined && !house.rooms[roomId])
    return fail(`--room: no room "${roomId}". Rooms: ${Object.keys(house.rooms).join(', ')}.`);
  const limits = placementLimits(house);
  const proposal = roomId === undefined ? proposeForHouse(house, limits) : proposeForRoom(house, roomId, limits);
  let n = 0;
  const boxes = boxesOfProposal(house, proposal, (prefix) => `${prefix}-${++n}`);
  if (json) return tell(`${JSON.stringify({ boxes, unreachable: proposal.unreachable }, null, 2)}\n`);
  const show = (lengthIn: number) => formatLength(lengthIn, house.standards.lengths);
  const lines = boxes.map((box, i) => {
    const { purpose, on } = proposal.boxes[i]!;
    const at =
      box.at.kind === 'wall'
        ? `${show(box.at.alongIn)} along wall ${box.at.wall}, ${show(box.at.heightIn)} high`
        : 'in the floor';
    return `${house.rooms[box.room]!.name}: ${at}, ${purpose}${WHERE[on]}`;
  });
  const beyond = proposal.unreachable.map(
    ({ room, stretch }) =>
      `${house.rooms[room]!.name}: ${show(stretch.toIn - stretch.fromIn)} cannot be reached from a wall or the floor before it`,
  );
  return tell(
    [...lines, ...beyond, `${boxes.length} receptacle${boxes.length === 1 ? '' : 's'} proposed`].join('\n') + '\n',
  );
}

/** One call of the terminal program: arguments and a way to read files in, text and exit code out. */
export function run(args: readonly string[], readFile: (path: string) => string): Outcome {
  let parsed;
  try {
    const options = {
      edition: { type: 'string' },
      json: { type: 'boolean' },
      csv: { type: 'boolean' },
      room: { type: 'string' },
      help: { type: 'boolean' },
    } as const;
    parsed = parseArgs({ args: [...args], options, allowPositionals: true });
  } catch (error) {
    return fail(`${(error as Error).message} See winculum --help.`);
  }
  const { values, positionals } = parsed;
  const [command, path] = positionals;
  if (values.help || command === undefined) return tell(HELP);
  if (command === 'schema') return tell(`${JSON.stringify(houseJsonSchema(), null, 2)}\n`);
  if (!['check', 'schedule', 'place'].includes(command))
    return fail(`there is no command "${command}". See winculum --help.`);
  if (path === undefined) return fail(`${command} needs a house file.`);
  if (values.edition !== undefined && !(EDITIONS as readonly string[]).includes(values.edition))
    return fail(`--edition: "${values.edition}" is not known. Known: ${EDITIONS.join(', ')}.`);
  let text: string;
  try {
    text = readFile(path);
  } catch (error) {
    return fail(`${path} cannot be read: ${(error as Error).message}`);
  }
  const read = readHouseFile(text);
  if (!read.ok)
    return {
      code: 2,
      out: '',
      err: read.problems
        .slice(0, 10)
        .map((one) => `winculum: ${path}: ${one.path || '(file)'}: ${one.message}\n`)
        .join(''),
    };
  if (command === 'check') return check(read.value, values.edition as Edition | undefined, values.json ?? false);
  if (command === 'schedule') return schedule(read.value, values.csv ?? false);
  return place(read.value, values.room, values.json ?? false);
}
