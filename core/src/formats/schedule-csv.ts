import { cableNameOf } from '../circuits/outlets';
import type { Feeder } from '../house/schema';
import type { PanelSchedule } from '../panel/schedule';
import { given } from '../units/result';

/** A field as RFC 4180 wants it. A leading =, +, - or @ gets an apostrophe, so that no spreadsheet runs it. */
function quote(field: string | number): string {
  const text = typeof field === 'string' && /^[=+\-@\t\r]/.test(field) ? `'${field}` : String(field);
  return /[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
}

const feederConductor = ({ conductor: { size, metal } }: Feeder): string =>
  `${size.includes('kcmil') ? '' : 'No. '}${size} ${metal}`;

const HEADER = ['Space', 'Leg', 'Poles', 'Breaker A', 'Kind', 'Conductor', 'Name', 'Directory', 'VA'];

/** A panel schedule as comma-separated values, one line a space. */
export function writeScheduleCsv(schedule: PanelSchedule): string {
  const lines = schedule.rows.map(({ space, half, leg, circuit, feeder, continued, breaker, directory, va }) =>
    circuit || feeder
      ? [
          `${space}${half?.toUpperCase() ?? ''}`,
          leg,
          given(circuit ?? feeder).poles,
          given(circuit ?? feeder).ratingA,
          continued ? 'second pole' : (breaker ?? ''),
          circuit ? cableNameOf(circuit) : feederConductor(given(feeder)),
          circuit ? circuit.name : directory,
          directory,
          Math.round(va),
        ]
      : [space, leg, '', '', '', '', '', '', ''],
  );
  return [HEADER, ...lines].map((line) => line.map(quote).join(',')).join('\r\n') + '\r\n';
}
