import { motorAmps } from '../electrical/tables';
import { withoutThousands } from '../units/number';
import { itemAt, refuse, type Result, succeed } from '../units/result';

interface Power {
  readonly va: number;
  /** Set where horsepower was typed. */
  readonly hp?: number;
}

/** Watts a foot of usual baseboard at 240 V: *common practice*, *from memory*. */
const BASEBOARD_W_PER_FT = 250;
/** VA a foot of usual light strip: *common practice*, *from memory*. */
const STRIP_VA_PER_FT = 4;

/** Volt-amperes of a strip so many inches long, until somebody reads its plate. */
export const stripVa = (lengthIn: number): number => Math.round((lengthIn / 12) * STRIP_VA_PER_FT * 10) / 10;

const fraction = (text: string): number => {
  const parts = text.trim().split(/[ -]/);
  return parts.reduce((sum, part) => {
    const [top = 0, bottom = 1] = part.split('/').map(Number);
    return sum + top / bottom;
  }, 0);
};

/**
 * Reads what stands on a plate, or what people say, as volt-amperes: `1500`, `1.5 kW`, `12.5 A`, `3/4 hp`, `6 ft` of
 * baseboard. Horsepower gives the current of NEC Table 430.248.
 * Watts become volt-amperes by the power factor.
 * @example parsePower('12.5 A', 120) // 1500 VA
 */
export function parsePower(text: string, volts: 120 | 240, field = 'Power', powerFactor = 1): Result<Power> {
  const match = /^\s*([\d.]+(?:[ -]\d+)?(?:\/\d+)?)\s*(va|w|watts?|kva|kw|a|amps?|hp|ft|')?\s*$/i.exec(
    withoutThousands(text),
  );
  const say = `${field}: type the number off the plate as 1500, 1.5 kW, 12.5 A, 3/4 hp, or 6 ft of baseboard.`;
  if (!match) return refuse('power', field, say);
  const value = fraction(itemAt(match, 1));
  const unit = (match[2] ?? 'va').toLowerCase();
  if (!(value > 0) || !Number.isFinite(value))
    return refuse('power', field, `${field}: must be greater than zero. ${say.slice(field.length + 2)}`);
  const round = (va: number) => Math.round(va * 10) / 10;
  const answer = ((): Power | undefined => {
    const apparent = unit.includes('w') ? value / powerFactor : value;
    if (/^k/.test(unit)) return { va: round(apparent * 1000) };
    if (/^(va|w|watts?)$/.test(unit)) return { va: round(apparent) };
    if (/^a/.test(unit)) return { va: round(value * volts) };
    if (unit === 'hp') {
      const amps = motorAmps(value, volts);
      return amps === undefined ? undefined : { va: round(amps * volts), hp: value };
    }
    return { va: round(value * BASEBOARD_W_PER_FT) };
  })();
  if (!answer)
    return refuse('power', field, `${field}: single-phase motors above 10 hp are not in Table 430.248. Type amperes.`);
  if (answer.va > 60_000)
    return refuse('power', field, `${field}: ${answer.va} VA is more than a house has. Check the unit.`);
  return succeed(answer);
}
