import { onBeforeUnmount, onMounted, ref, watch } from 'vue';

/** One key, or a family of them, that does something in a house. */
interface Key {
  readonly id: string;
  /** As help shows it. */
  readonly label: string;
  readonly what: string;
  readonly is: (event: KeyboardEvent) => boolean;
  /** Only with the hand on the plan or the strip: elsewhere the key belongs to what has the focus. */
  readonly onSurface?: true;
  /** It works from within a field as well. */
  readonly whileTyping?: true;
  /** A key of one character: it can be switched off (WCAG 2.1.4). */
  readonly oneCharacter?: true;
}

const withControl = (event: KeyboardEvent): boolean => event.ctrlKey || event.metaKey;
const bare = (event: KeyboardEvent): boolean => !withControl(event) && !event.altKey;
const one = { onSurface: true, oneCharacter: true } as const;

/** Every key of a house, in the order of help. */
export const KEYS = [
  {
    id: 'stage',
    label: 'Alt 1 … 9',
    what: 'go to the first nine stages of the rail, from Brief to Load profile',
    is: (event) => event.altKey && /^[1-9]$/.test(event.key),
    whileTyping: true,
  },
  {
    id: 'undo',
    label: 'Ctrl Z',
    what: 'undo',
    is: (event) => withControl(event) && !event.shiftKey && event.key.toLowerCase() === 'z',
  },
  {
    id: 'redo',
    label: 'Ctrl Y',
    what: 'redo; Ctrl Shift Z as well',
    is: (event) =>
      withControl(event) && (event.key.toLowerCase() === 'y' || (event.shiftKey && event.key.toLowerCase() === 'z')),
  },
  {
    id: 'print',
    label: 'Ctrl P',
    what: 'print; among photos once every picture is there',
    is: (event) => withControl(event) && !event.shiftKey && event.key.toLowerCase() === 'p',
    whileTyping: true,
  },
  {
    id: 'all',
    label: 'Ctrl A',
    what: 'select all boxes of the room; again of the level, again of the house',
    is: (event) => withControl(event) && !event.shiftKey && event.key.toLowerCase() === 'a',
    onSurface: true,
  },
  { id: 'help', label: '?', what: 'this help', is: (event) => bare(event) && event.key === '?', oneCharacter: true },
  {
    id: 'cancel',
    label: 'Esc',
    what: 'drop the tool, refuse a proposal',
    is: (event) => event.key === 'Escape',
  },
  {
    id: 'confirm',
    label: 'Enter',
    what: 'close the outline that is drawn, accept a proposal',
    is: (event) => bare(event) && event.key === 'Enter',
    onSurface: true,
  },
  {
    id: 'remove',
    label: 'Delete',
    what: 'delete what is selected',
    is: (event) => bare(event) && (event.key === 'Delete' || event.key === 'Backspace'),
    onSurface: true,
  },
  {
    id: 'walk',
    label: '← →',
    what: 'walk the strip by an inch; with Shift from stud to stud',
    is: (event) => bare(event) && (event.key === 'ArrowLeft' || event.key === 'ArrowRight'),
    onSurface: true,
  },
  {
    id: 'drop',
    label: 'R S L A',
    what: 'drop a receptacle, switch, light, alarm at the cursor',
    is: (event) => bare(event) && /^[rsla]$/i.test(event.key),
    ...one,
  },
  {
    id: 'nudge',
    label: ', .',
    what: 'move what is selected by an inch; with Shift to the next stud',
    is: (event) => bare(event) && /^[.,<>]$/.test(event.key),
    ...one,
  },
  {
    id: 'raise',
    label: '+ −',
    what: 'raise or lower it by an inch',
    is: (event) => bare(event) && /^[+-]$/.test(event.key),
    ...one,
  },
  {
    id: 'preset',
    label: '1 … 9',
    what: 'set down a preset of boxes at the cursor',
    is: (event) => bare(event) && /^[1-9]$/.test(event.key),
    ...one,
  },
  {
    id: 'zoom',
    label: 'Z',
    what: 'zoom to the room of the strip',
    is: (event) => bare(event) && /^z$/i.test(event.key),
    ...one,
  },
] as const satisfies readonly Key[];
export type KeyId = (typeof KEYS)[number]['id'];
type Handlers = Readonly<Partial<Record<KeyId, (event: KeyboardEvent) => void>>>;

const STORED = 'winculum.one-character-keys';
/** Whether keys of one character do anything. Kept on this device. */
export const oneCharacterKeys = ref(typeof localStorage === 'undefined' || localStorage.getItem(STORED) !== 'off');
watch(oneCharacterKeys, (isOn) => localStorage.setItem(STORED, isOn ? 'on' : 'off'));

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable);

/** A dialog or an open menu takes all keys for itself. */
const isCovered = (): boolean => document.querySelector('.v-overlay--active:not(.v-snackbar):not(.v-tooltip)') !== null;

const isOnSurface = (target: EventTarget | null): boolean =>
  target === document.body || (target instanceof Element && target.closest('[data-surface]') !== null);

const registered: Handlers[] = [];

/** Tells who listens of a key that is theirs; the last to come is told first. */
function pressKey(event: KeyboardEvent): void {
  if (event.defaultPrevented || isCovered()) return;
  const key: Key | undefined = KEYS.find((each) => each.is(event));
  if (!key || (isTyping(event.target) && !key.whileTyping)) return;
  if ((key.onSurface && !isOnSurface(event.target)) || (key.oneCharacter && !oneCharacterKeys.value)) return;
  for (const handlers of registered.toReversed()) handlers[key.id as KeyId]?.(event);
}

/** Listens for keys as long as the component is there. */
export function useKeys(handlers: Handlers): void {
  onMounted(() => {
    if (registered.length === 0) window.addEventListener('keydown', pressKey);
    registered.push(handlers);
  });
  onBeforeUnmount(() => {
    registered.splice(registered.indexOf(handlers), 1);
    if (registered.length === 0) window.removeEventListener('keydown', pressKey);
  });
}
