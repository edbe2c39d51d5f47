import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sameData } from './patches';
import { Person, quantile, randomFrom, root, sleep, Target, type Outcome } from './target';

interface Box {
  id: string;
  at: { kind: string; alongIn: number };
}
const demo = () =>
  JSON.parse(readFileSync(join(root, 'demo/studio-house.json'), 'utf8')) as { boxes: Record<string, Box> };
const onWalls = (house: { boxes: Record<string, Box> }) =>
  Object.values(house.boxes).filter((box) => box.at.kind === 'wall' && box.at.alongIn > 30);

const moveTo = (box: string, alongIn: number) => ({
  label: 'Move',
  patches: [{ op: 'replace', path: ['boxes', box, 'at', 'alongIn'], value: alongIn }],
});

/** The house as its batches make it, replayed by another server, is the house as the first one has it. */
async function differs(a: Person, b: Person, id: string): Promise<boolean> {
  const [one, other] = [await a.call('GET', `/houses/${id}`), await b.call('GET', `/houses/${id}`)];
  return !sameData(one.body['house'], other.body['house']);
}

/** Eight writers on one house through two processes, each with boxes of their own: nobody starves, nothing is lost or doubled. */
export async function attackRaces(isQuick: boolean): Promise<Outcome> {
  const findings: string[] = [];
  const first = await Target.start();
  const second = await Target.start(first.databaseUrl);
  const owner = await Person.withAccount(first.url, 'races@attack.example');
  const house = demo();
  const id = await owner.addHouse(house);
  const boxes = onWalls(house);
  const statuses: Record<number, number> = {};
  const times: number[] = [];
  const [writers, each] = [8, isQuick ? 25 : 120];
  const cpu = [first.cpuMs(), second.cpuMs()];
  await Promise.all(
    Array.from({ length: writers }, async (_, w) => {
      const person = new Person(w % 2 ? second.url : first.url);
      [person.cookie, person.csrf] = [owner.cookie, owner.csrf];
      let base = 0;
      for (let n = 0; n < each; n++) {
        const answer = await person.call('POST', `/houses/${id}/edits`, {
          id: randomUUID(),
          base,
          edits: [moveTo(boxes[w]!.id, 20 + (n % 10))],
        });
        statuses[answer.status] = (statuses[answer.status] ?? 0) + 1;
        times.push(answer.ms);
        if (answer.status === 200) base = answer.body['version'] as number;
        else if (answer.status !== 409)
          findings.push(`a writer was answered ${answer.status}: ${JSON.stringify(answer.body).slice(0, 160)}`);
      }
    }),
  );
  const spent = (first.cpuMs() - cpu[0]! + second.cpuMs() - cpu[1]!) / (writers * each);
  const there = new Person(second.url);
  [there.cookie, there.csrf] = [owner.cookie, owner.csrf];
  const version = (await owner.call('GET', `/houses/${id}`)).body['version'] as number;
  if (version !== (statuses[200] ?? 0))
    findings.push(`${statuses[200]} batches were acknowledged, and the version is ${version}`);
  if (await differs(owner, there, id)) findings.push('two processes have two houses');
  await first.kill();
  await second.kill();
  const told = Object.entries(statuses).map(([status, count]) => `${count} × ${status}`);
  return {
    findings: findings.slice(0, 5),
    figures: [
      `8 writers, two processes: ${told.join(', ')}; p50 ${quantile(times, 0.5).toFixed(0)} ms, p99 ${quantile(times, 0.99).toFixed(0)} ms; ${spent.toFixed(1)} ms of processor a batch`,
    ],
  };
}

/** Kills of the server in a burst of edits: what was acknowledged is there, once, and what was not goes through under its id. */
export async function attackKills(isQuick: boolean): Promise<Outcome> {
  const findings: string[] = [];
  const target = await Target.start();
  const person = await Person.withAccount(target.url, 'kills@attack.example');
  const house = demo();
  const id = await person.addHouse(house);
  const box = onWalls(house)[0]!.id;
  const random = randomFrom(11);
  const kills = isQuick ? 4 : 25;
  let [base, sent] = [0, 0];
  for (let n = 0; n < kills; n++) {
    const killAt = 3 + random(15);
    for (let k = 0; k < 20; k++) {
      const batch = { id: randomUUID(), base, edits: [moveTo(box, 20 + (sent % 30))] };
      const going = person.call('POST', `/houses/${id}/edits`, batch);
      if (k === killAt) {
        await sleep(random(6));
        await target.kill();
        await target.start();
      }
      let answer = await going;
      for (let tries = 0; answer.status !== 200 && tries < 20; tries++) {
        await sleep(100);
        answer = await person.call('POST', `/houses/${id}/edits`, batch);
      }
      if (answer.status !== 200) findings.push(`a batch never went through: ${answer.status}`);
      else if ((answer.body['version'] as number) !== ++sent)
        findings.push(`batch ${sent} became version ${String(answer.body['version'])}`);
      base = answer.body['version'] as number;
    }
  }
  const state = (await person.call('GET', `/houses/${id}`)).body;
  if (state['version'] !== sent)
    findings.push(`${sent} batches were acknowledged, and the version is ${String(state['version'])}`);
  await target.kill();
  return {
    findings: findings.slice(0, 5),
    figures: [`${kills} kills of the server in ${sent} batches: nothing lost, nothing doubled`],
  };
}

/** Streams that drop at once, by the hundred: none stays listening. That an edit then asks the database no more is a test of its own. */
export async function attackStreams(isQuick: boolean): Promise<Outcome> {
  const findings: string[] = [];
  const target = await Target.start();
  const person = await Person.withAccount(target.url, 'streams@attack.example');
  const id = await person.addHouse(demo());
  const streams = isQuick ? 200 : 600;
  for (let n = 0; n < streams; n += 50)
    await Promise.all(
      Array.from({ length: 50 }, async () => {
        const stop = new AbortController();
        setTimeout(() => stop.abort(), 1 + (n % 7));
        await fetch(`${target.url}/api/houses/${id}/events`, {
          headers: { cookie: person.cookie },
          signal: stop.signal,
        }).catch(() => undefined);
      }),
    );
  await sleep(500);
  // A person has twenty places: all of them are free again.
  const stop = new AbortController();
  const open = await Promise.all(
    Array.from({ length: 20 }, () =>
      fetch(`${target.url}/api/houses/${id}/events`, { headers: { cookie: person.cookie }, signal: stop.signal }),
    ),
  );
  const free = open.filter((one) => one.status === 200).length;
  stop.abort();
  if (free < 20) findings.push(`of twenty streams ${20 - free} are still taken by such as dropped`);
  await target.kill();
  return {
    findings,
    figures: [`${streams} streams dropped, ${free} of 20 places free`],
  };
}
