import { AFCI_SECTION } from '../protection/afci';
import { givesAfci, protectionOf } from '../protection/circuit-protection';
import { breakerRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const afciProtection = defineRule({
  id: 'afci-protection',
  meta: {
    summary: 'Arc-fault protection for 120 V circuits of living areas',
    stage: 'circuits',
    severity: 'violation',
    why: 'A nail through a cable or a pinched cord arcs at currents that an ordinary breaker takes for a load, and starts fires in walls.',
    editions: everyEdition({ section: '210.12', limits: {}, basis: fromMemory('high') }),
    messages: {
      missing: ({ circuit, rooms }: { circuit: string; rooms: string }) =>
        `${circuit} feeds ${rooms} and has no AFCI protection.`,
      given: ({ circuit, rooms }: { circuit: string; rooms: string }) => `${circuit} has AFCI protection for ${rooms}.`,
      open: ({ circuit, reason }: { circuit: string; reason: string }) => `${circuit}: ${reason}`,
    },
  },
  scope: 'circuit',
  appliesTo: () => true,
  check: (facts, circuit, _limits, report) => {
    const protection = protectionOf(facts.house, circuit.id, facts.edition);
    const section = AFCI_SECTION[facts.edition];
    const where = { circuit: circuit.id };
    const rooms = [
      ...new Set(protection.outlets.flatMap((one) => (one.afci.kind === 'required' ? [one.outlet.room.name] : []))),
    ].join(', ');
    if (!protection.needsAfci) {
      const open = protection.outlets.find((one) => one.afci.kind === 'cannot-tell');
      return open && !givesAfci(protection.fitted)
        ? [report.cannotTell('open', { circuit: circuit.name, reason: open.afci.reason }, where, { section })]
        : [];
    }
    // The surest of the outlets decides how sure the demand is.
    const sure = protection.outlets.some((one) => one.afci.kind === 'required' && one.afci.basis.confidence === 'high');
    const basis = fromMemory(sure ? 'high' : 'medium');
    const detail = {
      section,
      basis,
      measured: () => `${protection.fitted} breaker`,
      required: () => 'combination-type AFCI',
    };
    if (givesAfci(protection.fitted)) return [report.pass('given', { circuit: circuit.name, rooms }, where, detail)];
    return [
      report.fail('missing', { circuit: circuit.name, rooms }, where, {
        ...detail,
        remedies: [breakerRemedy(circuit.id)],
      }),
    ];
  },
});
