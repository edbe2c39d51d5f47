import { lightMap, type LightSource, type Point } from '@winculum/core';

export interface LightMapJob {
  readonly n: number;
  readonly corners: readonly Point[];
  readonly sources: readonly LightSource[];
}

self.onmessage = (event: MessageEvent<LightMapJob>) => {
  const { n, corners, sources } = event.data;
  self.postMessage({ n, map: lightMap(corners, sources) });
};
