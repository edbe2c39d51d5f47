// Attacks a server on loopback, each part on a database of its own, and ends by itself. Prints figures; exit 1 on a finding.
import { attackFiles } from './files';
import { attackGuessing } from './guessing';
import { attackLoad } from './load';
import { attackPatches } from './patches';
import { attackKills, attackRaces, attackStreams } from './writers';

const isQuick = process.argv.includes('--quick');
const attacks = {
  patches: attackPatches,
  files: attackFiles,
  guessing: attackGuessing,
  streams: attackStreams,
  races: attackRaces,
  kills: attackKills,
  load: attackLoad,
};
const only = process.argv.slice(2).filter((one) => !one.startsWith('--'));
let found = 0;
for (const [name, attack] of Object.entries(attacks)) {
  if (only.length > 0 && !only.includes(name)) continue;
  const started = performance.now();
  const { findings, figures } = await attack(isQuick);
  console.log(`${name} (${((performance.now() - started) / 1000).toFixed(0)} s)`);
  for (const figure of figures) console.log(`  ${figure}`);
  for (const finding of findings) console.log(`  FOUND: ${finding}`);
  found += findings.length;
}
console.log(found === 0 ? 'nothing found' : `${found} found`);
process.exit(found === 0 ? 0 : 1);
