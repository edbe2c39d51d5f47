// @vitest-environment happy-dom
import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { createVuetify } from 'vuetify';
import { VTextField } from 'vuetify/components/VTextField';
import type { Component } from 'vue';
import { createHouse } from '@winculum/core';
import { useHouse } from '../stores/house';
import { useSession } from '../stores/session';
import LengthField from './LengthField.vue';
import LineField from './LineField.vue';
import NumberField from './NumberField.vue';

beforeEach(() => {
  setActivePinia(createPinia());
  useHouse().house = createHouse('One room');
});
const put = (component: Component, props: Record<string, unknown>) => {
  const field = mount(component, { props, global: { plugins: [createVuetify({ components: { VTextField } })] } });
  const input = field.get('input');
  return {
    field,
    type: async (text: string, key = 'enter') => {
      await input.setValue(text);
      await input.trigger('keydown', { key: key === 'esc' ? 'Escape' : 'Enter' });
    },
    shown: () => (input.element as HTMLInputElement).value,
    said: () => field.emitted('update:modelValue')?.map(([value]) => value) ?? [],
  };
};

describe('a field for a length', () => {
  it.each([
    ["7'-8", [92]],
    ['92', [92]],
    ['7 ft 8 in', [92]],
    ['nonsense', []],
    ['', []],
    ['-3', []],
    ['\u{1F600}', []],
    ['9'.repeat(10_000), []],
  ])('%s gives %j', async (text, said) => {
    const { type, said: heard } = put(LengthField, { label: 'Height', modelValue: 16 });
    await type(text);
    expect(heard()).toEqual(said);
  });
  it('names itself and the remedy where it cannot read', async () => {
    const { field, type } = put(LengthField, { label: 'Height', modelValue: 16 });
    await type('nonsense');
    expect(field.text()).toContain('Height');
  });
  it('brings back what stood there on Escape', async () => {
    const { type, shown, said } = put(LengthField, { label: 'Height', modelValue: 16 });
    await type("9'", 'esc');
    expect(shown()).toBe(`1'-4"`);
    expect(said()).toEqual([]);
  });
});

describe('a field for a number', () => {
  const watts = { label: 'Running watts', modelValue: 2000, min: 100, max: 50_000, unit: 'W' };
  it.each([
    ['4500', [4500]],
    // Not 4.5: a comma between thousands is no decimal point.
    ['4,500', [4500]],
    ['9,500.5', [9500.5]],
    ['4,5', []],
    ['99', []],
    ['50001', []],
    ['0x1000', []],
    ['', []],
    ['many', []],
    ['\u{1F600}', []],
    ['2000', []],
  ])('%s gives %j', async (text, said) => {
    const { type, said: heard } = put(NumberField, watts);
    await type(text);
    expect(heard()).toEqual(said);
  });
  it.each([
    ['99', 'From 100 to 50000 W.'],
    ['4,5', '"4,5" is not a number. Type it as 1500, 1,500 or 1.5.'],
    ['', 'Running watts: type a number.'],
  ])('%s is answered by: %s', async (text, message) => {
    const { type, field } = put(NumberField, watts);
    await type(text);
    expect(field.text()).toContain(message);
  });
  it('clears what may be left out, and takes whole numbers only where it must', async () => {
    const empty = put(NumberField, { ...watts, optional: true });
    await empty.type('');
    expect(empty.field.emitted('clear')).toHaveLength(1);
    const whole = put(NumberField, { ...watts, whole: true });
    await whole.type('1500.5');
    expect(whole.field.text()).toContain('Type a whole number.');
  });
});

describe('a line of text', () => {
  it('is taken by Enter, and left as it was by Escape', async () => {
    const line = put(LineField, { label: 'Note', modelValue: 'bench height' });
    await line.type('bench height', 'esc');
    expect(line.said()).toEqual([]);
    await line.type('42 in');
    expect(line.said()).toEqual(['42 in']);
  });
  it('shows no hand to who may only look', () => {
    useSession().signedIn = { role: 'viewer' } as never;
    expect(put(LineField, { label: 'Note', modelValue: '' }).field.get('input').attributes('disabled')).toBeDefined();
  });
});
