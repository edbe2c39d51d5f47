import type { FirmStandards } from '@winculum/contract';
import { standardsApart, type House, type Standards } from '@winculum/core';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { api } from '../api';
import { useHouse } from './house';

/** The shop standards of the firm, and where the open house holds otherwise. Without a connection they are not known. */
export const useFirmStandards = defineStore('firm-standards', () => {
  const house = useHouse();
  const kept = shallowRef<FirmStandards | null>(null);

  async function load(): Promise<void> {
    kept.value = await api.firmStandards().catch(() => null);
  }
  /** @throws ApiError where somebody else has changed them meanwhile, or the caller is no owner. */
  async function replace(standards: Standards): Promise<void> {
    kept.value = await api.setFirmStandards({ version: kept.value?.version ?? 0, standards });
  }
  const apart = computed(() =>
    house.house && kept.value?.standards ? standardsApart(house.house as House, kept.value.standards) : [],
  );
  return { kept, apart, offered: computed(() => apart.value.filter((one) => !one.isOwn)), load, replace };
});
