// @vitest-environment happy-dom
import { mount } from '@vue/test-utils';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { defineComponent } from 'vue';
import { KEYS, oneCharacterKeys, useKeys, type KeyId } from './keys';

const said = vi.fn<(id: KeyId) => void>();
const Listener = defineComponent({
  setup() {
    useKeys(Object.fromEntries(KEYS.map(({ id }) => [id, () => said(id)])));
    return {};
  },
  template: `<main data-surface><button id="tool">tool</button><input id="line" /></main><aside><button id="side">side</button></aside>`,
});

function press(init: KeyboardEventInit, at: string | null = null): readonly KeyId[] {
  said.mockClear();
  const target = at === null ? document.body : document.querySelector(at)!;
  target.dispatchEvent(new KeyboardEvent('keydown', { bubbles: true, cancelable: true, ...init }));
  return said.mock.calls.map(([id]) => id);
}
let mounted: ReturnType<typeof mount>;
const open = () => (mounted = mount(Listener, { attachTo: document.body }));

describe('keys of a house', () => {
  afterEach(() => {
    mounted.unmount();
    oneCharacterKeys.value = true;
    document.body.innerHTML = '';
  });

  it.each([
    [{ key: 'z', ctrlKey: true }, 'undo'],
    [{ key: 'z', metaKey: true }, 'undo'],
    [{ key: 'Z', ctrlKey: true, shiftKey: true }, 'redo'],
    [{ key: 'y', ctrlKey: true }, 'redo'],
    [{ key: 'p', ctrlKey: true }, 'print'],
    [{ key: 'a', ctrlKey: true }, 'all'],
    [{ key: 'z' }, 'zoom'],
    [{ key: '3' }, 'preset'],
    [{ key: '3', altKey: true }, 'stage'],
    [{ key: 'R' }, 'drop'],
    [{ key: '>', shiftKey: true }, 'nudge'],
    [{ key: '-' }, 'raise'],
    [{ key: 'ArrowLeft', shiftKey: true }, 'walk'],
    [{ key: 'Backspace' }, 'remove'],
    [{ key: '?', shiftKey: true }, 'help'],
  ] as const)('%o is %s, and nothing else', (init, id) => {
    open();
    expect(press(init)).toEqual([id]);
    expect(press(init, '#tool')).toEqual([id]);
  });

  it('a letter with Ctrl is the browser’s, a letter in a field the field’s', () => {
    open();
    expect(press({ key: 'r', ctrlKey: true })).toEqual([]);
    for (const key of ['r', '1', 'Delete', 'ArrowLeft', '?']) expect(press({ key }, '#line')).toEqual([]);
    expect(press({ key: '3', altKey: true }, '#line')).toEqual(['stage']);
  });

  it('beside the plan only what is the same everywhere is heard', () => {
    open();
    for (const key of ['r', '1', '+', 'Delete', 'ArrowLeft', 'Enter']) expect(press({ key }, '#side')).toEqual([]);
    expect(press({ key: 'a', ctrlKey: true }, '#side')).toEqual([]);
    expect(press({ key: 'Escape' }, '#side')).toEqual(['cancel']);
    expect(press({ key: 'z', ctrlKey: true }, '#side')).toEqual(['undo']);
  });

  it('under a dialog or an open menu nothing is heard', () => {
    open();
    const dialog = document.createElement('div');
    dialog.className = 'v-overlay v-overlay--active';
    document.body.append(dialog);
    for (const key of ['r', 'Escape', 'Delete', '?']) expect(press({ key })).toEqual([]);
    dialog.className += ' v-snackbar';
    expect(press({ key: 'r' })).toEqual(['drop']);
  });

  it('keys of one character can be switched off', () => {
    open();
    oneCharacterKeys.value = false;
    for (const key of ['r', '1', '+', '.', 'z', '?']) expect(press({ key })).toEqual([]);
    expect(press({ key: 'Delete' })).toEqual(['remove']);
  });

  it('who is gone hears nothing', () => {
    open();
    mounted.unmount();
    expect(press({ key: 'r' })).toEqual([]);
  });

  it('no two keys of help share a label', () => expect(new Set(KEYS.map(({ label }) => label)).size).toBe(KEYS.length));
});
