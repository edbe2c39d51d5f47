import { createVuetify } from 'vuetify';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';

const light = {
  dark: false,
  colors: {
    background: '#F7F2E8',
    surface: '#FFFCF5',
    primary: '#1F5C7A',
    secondary: '#6B7672',
    error: '#B3261E',
    warning: '#A86A00',
    success: '#3C7A4B',
    'on-background': '#22302F',
    'on-surface': '#22302F',
    'on-primary': '#FFFCF5',
  },
};
const dark = {
  dark: true,
  colors: {
    background: '#191D1C',
    surface: '#222827',
    primary: '#7DB8D6',
    secondary: '#9AA6A1',
    error: '#FF8A80',
    warning: '#E5B25D',
    success: '#8CC79B',
    'on-background': '#E9E4D8',
    'on-surface': '#E9E4D8',
    'on-primary': '#10222C',
  },
};

/** For a tablet in the sun: black on white, and colors dark enough to be told apart in glare. */
const sun = {
  dark: false,
  colors: {
    background: '#FFFFFF',
    surface: '#FFFFFF',
    primary: '#003A5C',
    secondary: '#2B2B2B',
    error: '#8B0000',
    warning: '#5A3500',
    success: '#00451A',
    'on-background': '#000000',
    'on-surface': '#000000',
    'on-primary': '#FFFFFF',
  },
};

export const THEMES = [
  { value: 'light', word: 'Light' },
  { value: 'dark', word: 'Dark' },
  { value: 'sun', word: 'Sunlight' },
] as const;
export type ThemeName = (typeof THEMES)[number]['value'];

const STORED = 'winculum-theme';

/** The theme a person chose, or what the device prefers. */
function preferredTheme(): ThemeName {
  const stored = THEMES.find((one) => one.value === localStorage.getItem(STORED));
  if (stored) return stored.value;
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

export const storeTheme = (theme: ThemeName): void => localStorage.setItem(STORED, theme);

const FIELD = { variant: 'outlined', density: 'compact', hideDetails: 'auto' } as const;

/** Vuetify in Winculum's palette: flat, dense, square-shouldered. */
export function createTheme() {
  const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content;
  return createVuetify({
    icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
    theme: { defaultTheme: preferredTheme(), cspNonce: nonce, themes: { light, dark, sun } },
    defaults: {
      global: { ripple: false },
      VBtn: { variant: 'outlined', rounded: 'sm', class: 'text-none' },
      VTextField: FIELD,
      VTextarea: FIELD,
      VSelect: FIELD,
      VAutocomplete: { ...FIELD, autoSelectFirst: true },
      VCombobox: { ...FIELD },
      VNumberInput: { ...FIELD, controlVariant: 'hidden' },
      VCheckbox: { density: 'compact', hideDetails: true, color: 'primary' },
      VCard: { rounded: 'md', elevation: 0, border: true },
      VList: { density: 'compact' },
      VTabs: { density: 'compact', height: 44, color: 'primary' },
      VExpansionPanels: { flat: true, variant: 'accordion' },
    },
  });
}
