import { cableNameOf } from '../circuits/outlets';
import type { PanelSchedule } from '../panel/schedule';

/** A field as RFC 4180 wants it. A leading =, +, - or @ gets an apostrophe, so that no spreadsheet runs it. */
function quote(field: string | number): string {
  const text = typeof field === 'string' && /^[=+\-@\t\r]/.test(field) ? `'${field}` : String(field);
  return /[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
}

const HEADER = ['Space', 'Leg', 'Poles', 'Breaker A', 'Kind', 'Conductor', 'Name', 'Directory', 'VA'];

/** A panel schedule as comma-separated values, one line a space. */
export function writeScheduleCsv(schedule: PanelSchedule): string {
  const lines = schedule.rows.map(({ space, leg, circuit, continued, breaker, directory, va }) =>
    circuit
      ? [
          space,
          leg,
          circuit.poles,
          circuit.ratingA,
          continued ? 'second pole' : (breaker ?? ''),
          cableNameOf(circuit),
          circuit.name,
          directory,
          Math.round(va),
        ]
      : [space, leg, '', '', '', '', '', '', ''],
  );
  return [HEADER, ...lines].map((line) => line.map(quote).join(',')).join('\r\n') + '\r\n';
}
