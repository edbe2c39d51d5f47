/** Houses as somebody has drawn them, without a box yet but for what exists in a remodel: to try the tool on, and to throw away. */
export const SAMPLES = [
  { word: 'Ranch with garage', url: new URL('../../../../demo/samples/ranch-with-garage.json', import.meta.url) },
  { word: 'Open-plan house', url: new URL('../../../../demo/samples/open-plan-house.json', import.meta.url) },
  { word: 'House with basement', url: new URL('../../../../demo/samples/house-with-basement.json', import.meta.url) },
  {
    word: 'Dwelling over a garage',
    url: new URL('../../../../demo/samples/dwelling-over-garage.json', import.meta.url),
  },
  { word: 'Kitchen remodel', url: new URL('../../../../demo/samples/kitchen-remodel.json', import.meta.url) },
  { word: 'Finished basement', url: new URL('../../../../demo/samples/basement-finish.json', import.meta.url) },
  { word: 'Small house on a trailer', url: new URL('../../../../demo/samples/small-house.json', import.meta.url) },
] as const;

/** @throws where the server cannot be reached */
export async function readSample(index: number): Promise<string> {
  const answer = await fetch(SAMPLES[index]!.url);
  if (!answer.ok) throw new Error('The sample could not be read. Check the connection and try again.');
  return answer.text();
}
