import { Person, quantile, Target, type Outcome } from './target';

/** Guessing at one account: it becomes slow for the guesser, and the owner gets in all the same. */
export async function attackGuessing(isQuick: boolean): Promise<Outcome> {
  const findings: string[] = [];
  const target = await Target.start();
  const started = performance.now();
  const seconds = isQuick ? 6 : 30;
  let [tried, held] = [0, 0];
  await Promise.all(
    Array.from({ length: 20 }, async (_, n) => {
      while (performance.now() - started < seconds * 1_000) {
        const email = n % 2 ? ' owner@demo.example ' : 'OWNER@demo.example';
        const { status } = await new Person(target.url).signIn(email, `guess ${tried}`);
        if (status === 401) tried++;
        else if (status === 429) held++;
        else findings.push(`a guess was answered ${status}`);
        if (status === 429) await new Promise((resolve) => setTimeout(resolve, 200));
      }
    }),
  );
  // Five at once, then one after the other, a quarter of a second apart and soon four.
  if (tried > 10 + seconds / 2) findings.push(`${tried} guesses at one account in ${seconds} s`);
  const waits: number[] = [];
  for (let n = 0; n < 3; n++) {
    const answer = await new Person(target.url).signIn('owner@demo.example', 'demo house 4310');
    waits.push(answer.ms);
    if (answer.status !== 200 && answer.status !== 429) findings.push(`the owner was answered ${answer.status}`);
    if (answer.status === 429) await new Promise((resolve) => setTimeout(resolve, 5_000));
  }
  await target.kill();
  return {
    findings: findings.slice(0, 5),
    figures: [
      `${tried} guesses came through in ${seconds} s, ${held} were held back; the owner waited ${quantile(waits, 1).toFixed(0)} ms at most`,
    ],
  };
}
