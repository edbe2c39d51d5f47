import type { BuriedWiring, Circuit, Room } from '../../house/schema';
import { panelOf } from '../../circuits/panel-tree';
import { leastCover } from '../../service/ground-cover';
import { leastTrade, racewayFill } from '../../service/raceway-fill';
import { groundConductor } from '../../service/service-conductors';
import { givesGfci, protectionOf } from '../protection/circuit-protection';
import { outletsOf } from '../requirements/circuit-facts';
import type { Remedy } from '../remedies';
import { defineRule, everyEdition, fromMemory, type Facts } from '../rule';
import { given, mustGet } from '../../units/result';

/** The structure that a room belongs to; a shed that nobody has named is one as well. */
const structureOf = ({ building, kind }: Room): string | undefined =>
  building ?? (kind === 'accessory-building' ? kind : undefined);

/** A circuit that feeds something in another structure than its panel's: in the ground or overhead, it leaves the house. */
function leavesFor(facts: Facts, circuit: Circuit): string | undefined {
  const { house } = facts;
  const panel = panelOf(house, circuit);
  if (!panel) return undefined;
  const home = structureOf(mustGet(house.rooms, panel.room));
  const away = outletsOf(facts, circuit).find(({ room }) => structureOf(room) !== home)?.room;
  if (!away) return undefined;
  if (structureOf(away) === undefined) return 'the house';
  return house.buildings[away.building ?? '']?.name ?? away.name;
}

/** Column 4 of Table 300.5: 120 V, 20 A at most, and the GFCI stands before the ground: a breaker, or a receptacle in the panel's own structure. */
function isGfci20({ house, outlets }: Facts, circuit: Circuit): boolean {
  if (circuit.poles !== 1 || circuit.ratingA > 20) return false;
  if (givesGfci(protectionOf(house, circuit.id).fitted)) return true;
  const first = outlets.byDevice.get(circuit.gfciFirst ?? '');
  const panel = panelOf(house, circuit);
  if (!first || !panel) return false;
  return structureOf(first.room) === structureOf(mustGet(house.rooms, panel.room)) && first.room.kind !== 'outdoors';
}

const setBuried = (circuit: Circuit, buried: BuriedWiring, label: string): Remedy => ({
  kind: 'set-circuit',
  circuit: circuit.id,
  changes: { buried },
  label,
});

/** What is pulled: two conductors where nothing needs a third, and the ground of Table 250.122. */
function pulledOf(facts: Facts, circuit: Circuit) {
  const volts = outletsOf(facts, circuit).some(({ device }) => 'volts' in device && device.volts === 120) ? 120 : 240;
  const poles = circuit.poles === 2 && volts === 120 ? (2 as const) : (1 as const);
  const ground = groundConductor(circuit.ratingA) ?? circuit.awg;
  return { conductor: { size: circuit.awg, metal: circuit.metal ?? ('copper' as const) }, poles, ground };
}

export const circuitInGround = defineRule({
  id: 'circuit-in-ground',
  meta: {
    summary: 'A branch circuit in the ground is made for it, lies deep enough, and fits its raceway',
    stage: 'circuits',
    severity: 'violation',
    why: 'A spade finds what lies too shallow, and water finds what is not made for the ground.',
    editions: everyEdition({ section: '300.5', limits: {}, basis: fromMemory('high') }),
    messages: {
      unsaid: ({ circuit, to }: Data & { to: string }) =>
        `${circuit} leaves its structure for ${to}. How does it lie in the ground, and how deep? Spans overhead are for the person on site to look at: 225.18.`,
      unfit: ({ circuit }: Data) =>
        `${circuit} lies in the ground as nonmetallic cable, which is not made for it. Underground cable (UF), or wet-rated conductors in a raceway, are.`,
      kind: ({ circuit }: Data) =>
        `${circuit} lies in the ground in a raceway. Of what kind? Rigid metal may lie shallower than PVC.`,
      depth: ({ circuit, least }: Data & { least: number }, show) =>
        `How deep does ${circuit} lie? ${show(least)} of cover is the least for it.`,
      shallow: ({ circuit, has, least, gfci }: Data & { has: number; least: number; gfci: number | undefined }, show) =>
        `${circuit} lies ${show(has)} deep; ${show(least)} of cover is the least${gfci === undefined ? '' : `, ${show(gfci)} with GFCI protection ahead of it`}.`,
      full: ({ circuit, percent, trade }: Data & { percent: number; trade: string }) =>
        `The conductors of ${circuit} fill ${percent.toFixed(0)} % of their raceway of ${trade} in; 40 % is the most.`,
      deep: ({ circuit }: Data) => `${circuit} lies deep enough in the ground.`,
    },
  },
  scope: 'circuit',
  appliesTo: (facts, circuit) => circuit.buried !== undefined || leavesFor(facts, circuit) !== undefined,
  check: (facts, circuit, _limits, report) => {
    const where = { circuit: circuit.id };
    const data = { circuit: circuit.name };
    const { buried } = circuit;
    if (!buried) {
      const remedies = [setBuried(circuit, { wiring: 'underground', coverIn: 24 }, 'Underground cable, 24 in deep')];
      return [report.cannotTell('unsaid', { ...data, to: given(leavesFor(facts, circuit)) }, where, { remedies })];
    }
    const { wiring, raceway, coverIn, under = 'soil' } = buried;
    if (wiring === 'nonmetallic')
      return [
        report.fail('unfit', data, where, {
          section: '334.12(B)(4), 340.10',
          remedies: [setBuried(circuit, { ...buried, wiring: 'underground' }, 'Underground cable (UF)')],
        }),
      ];
    // Rigid metal may lie shallower than any other raceway: below what the others need, its kind decides.
    const isDeepEnoughForAny = coverIn !== undefined && coverIn >= leastCover('raceway', undefined, under, false);
    if (wiring === 'raceway' && !raceway && !isDeepEnoughForAny) {
      const remedies = [
        setBuried(circuit, { ...buried, raceway: { kind: 'pvc-40', trade: '1/2' } }, 'It is PVC, 1/2 in'),
      ];
      return [report.cannotTell('kind', data, where, { remedies })];
    }
    const way = wiring === 'raceway' ? 'raceway' : 'cable';
    const has20 = isGfci20(facts, circuit);
    const least = leastCover(way, raceway, under, has20);
    const could = circuit.poles === 1 && circuit.ratingA <= 20 ? leastCover(way, raceway, under, true) : least;
    const fill = raceway && racewayFill({ ...pulledOf(facts, circuit), raceway });
    const fuller = fill && fill.takenIn2 > fill.allowedIn2 + 1e-9;
    return [
      coverIn === undefined
        ? report.cannotTell('depth', { ...data, least }, where, {
            remedies: [setBuried(circuit, { ...buried, coverIn: least }, 'It lies as deep as it has to')],
          })
        : coverIn < least
          ? report.fail('shallow', { ...data, has: coverIn, least, gfci: could < least ? could : undefined }, where)
          : report.pass('deep', data, where),
      ...(fuller
        ? [
            report.fail(
              'full',
              { ...data, percent: (40 * fill.takenIn2) / fill.allowedIn2, trade: raceway.trade },
              where,
              {
                section: 'Chapter 9 Tables 1, 4 and 5',
                remedies: largerRaceway(facts, circuit, buried),
              },
            ),
          ]
        : []),
    ];
  },
});

function largerRaceway(facts: Facts, circuit: Circuit, buried: BuriedWiring): readonly Remedy[] {
  const { raceway } = buried;
  const trade = raceway && leastTrade(pulledOf(facts, circuit), raceway.kind);
  return trade ? [setBuried(circuit, { ...buried, raceway: { ...raceway, trade } }, `Use ${trade} in`)] : [];
}

interface Data {
  readonly circuit: string;
}
