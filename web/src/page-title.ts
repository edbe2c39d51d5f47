import { watchEffect } from 'vue';

const NAME = 'Winculum';

/** Names the page in the browser's tab, in its history and to those who hear it read; nothing leaves what is there. */
export function namePage(words: string | null | undefined): void {
  if (words) document.title = `${words} · ${NAME}`;
}

/** The same of a page whose name changes with what is open in it. */
export const usePageTitle = (words: () => string | null | undefined): void => void watchEffect(() => namePage(words()));
