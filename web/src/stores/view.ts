import type { Bounds, Finding, Proposal } from '@winculum/core';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';

export type SelectedKind = 'room' | 'opening' | 'feature' | 'box' | 'circuit' | 'panel';
/** Parts of the page about the job. */
export const JOB_PARTS = [
  'job',
  'firm',
  'heights',
  'circuits',
  'switching',
  'routes',
  'make-up',
  'boxes',
  'decisions',
] as const;
export type JobPart = (typeof JOB_PARTS)[number];
export interface Selected {
  readonly kind: SelectedKind;
  readonly id: string;
}

/** What a person looks at: never part of the House. */
export const useView = defineStore('view', () => {
  const level = ref('');
  const selection = shallowRef<readonly Selected[]>([]);
  const finding = shallowRef<Finding | null>(null);
  const proposal = shallowRef<Proposal | null>(null);
  const side = ref<'stage' | 'why' | 'open-items' | 'comments'>('why');
  /** On a phone, where only one is seen at a time. */
  const shows = ref<'sheet' | 'strip' | 'panel'>('sheet');
  /** What the stage put into the side region is called; empty where it put nothing there. */
  const stagePart = ref('');
  const isTall = ref(false);
  let partOwner: symbol | null = null;
  const tool = ref('select');
  /** The open part of the page about the job and its shop standards; empty while it is shut. */
  const job = ref<JobPart | ''>('');
  /** Where the sheet should fly to next; a new object each time. */
  const target = shallowRef<{ readonly bounds: Bounds } | null>(null);
  /** The room whose walls the strip shows, and the cursor along its loop, inches. */
  const stripRoom = ref('');
  const cursorIn = ref(0);
  /** Who asks for what is placed and answered from now on; empty where it is the person signed in. */
  const placingFor = ref('');

  return {
    placingFor,
    level,
    selection,
    finding,
    proposal,
    side,
    shows,
    stagePart,
    isTall,
    putStagePart: (owner: symbol, title: string, tall: boolean) => {
      if (owner !== partOwner) side.value = 'stage';
      partOwner = owner;
      stagePart.value = title;
      isTall.value = tall;
    },
    takeStagePart: (owner: symbol) => {
      if (owner !== partOwner) return;
      partOwner = null;
      stagePart.value = '';
    },
    tool,
    job,
    target,
    stripRoom,
    cursorIn,
    select: (next: readonly Selected[]) => {
      selection.value = next;
      finding.value = null;
      if (next.length > 0) side.value = 'why';
    },
    isSelected: (kind: SelectedKind, id: string) => selection.value.some((one) => one.kind === kind && one.id === id),
    only: (kind: SelectedKind) =>
      selection.value.length === 1 && selection.value[0]!.kind === kind ? selection.value[0]!.id : null,
    reset: () => {
      placingFor.value = '';
      [level.value, selection.value, finding.value, proposal.value, tool.value, stripRoom.value, cursorIn.value] = [
        '',
        [],
        null,
        null,
        'select',
        '',
        0,
      ];
    },
  };
});
