import { describeOutlet } from '../requirements/circuit-facts';
import { isGfciGiven, protectionOf, whyNotReadilyAccessible } from '../protection/circuit-protection';
import type { Outlet } from '../../circuits/outlets';
import { breakerRemedy, setLoadsRemedy, type Remedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const gfciProtection = defineRule({
  id: 'gfci-protection',
  meta: {
    summary: 'Ground-fault protection where the place or the appliance requires it',
    stage: 'circuits',
    severity: 'violation',
    why: 'Five milliamperes through a heart can kill; an ordinary breaker never sees them. Water and earth make the path.',
    editions: everyEdition({ section: '210.8', limits: {}, basis: fromMemory('high') }),
    messages: {
      missing: ({ outlet, circuit, reason }: { outlet: string; circuit: string; reason: string }) =>
        `${outlet} on ${circuit} has no GFCI protection. ${reason}`,
      given: ({ outlet, reason }: { outlet: string; reason: string }) => `${outlet} has GFCI protection. ${reason}`,
      open: ({ outlet, reason }: { outlet: string; reason: string }) => `${outlet}: ${reason}`,
      hidden: ({ outlet, why }: { outlet: string; why: string }) =>
        `${outlet} is a GFCI that others hang on and not readily accessible: ${why}.`,
    },
  },
  scope: 'circuit',
  appliesTo: () => true,
  check: (facts, circuit, _limits, report) => {
    const protection = protectionOf(facts.house, circuit.id, facts.edition);
    const hidden = protection.gfcis.flatMap((gfci) => {
      const why = whyNotReadilyAccessible(gfci);
      return why
        ? [report.fail('hidden', { outlet: describeOutlet(gfci), why }, { circuit: circuit.id, box: gfci.box.id })]
        : [];
    });
    const outlets = protection.outlets.flatMap(({ outlet, gfci }) => {
      const where = { circuit: circuit.id, room: outlet.room.id, box: outlet.box.id };
      if (gfci.kind === 'not-required') return [];
      const data = { outlet: describeOutlet(outlet), reason: gfci.reason, circuit: circuit.name };
      if (gfci.kind === 'cannot-tell')
        return isGfciGiven(protection, outlet)
          ? []
          : [report.cannotTell('open', data, where, { section: gfci.section, remedies: ownGfciRemedy(outlet) })];
      const detail = {
        section: gfci.section,
        basis: gfci.basis,
        required: () => 'GFCI at the breaker, first in line, or in the receptacle',
      };
      return [
        isGfciGiven(protection, outlet)
          ? report.pass('given', data, where, detail)
          : report.fail('missing', data, where, {
              ...detail,
              measured: () => `${protection.fitted} breaker`,
              remedies: [breakerRemedy(circuit.id), ...ownGfciRemedy(outlet)],
            }),
      ];
    });
    return [...hidden, ...outlets];
  },
});

/** Thermostats that are made for floors have it built in, *common practice*: whoever reads so on one says it. */
const ownGfciRemedy = ({ load }: Outlet): readonly Remedy[] =>
  load?.kind === 'floor-heat'
    ? [setLoadsRemedy([load.id], { builtInGfci: true }, 'Its thermostat has GFCI built in')]
    : [];
