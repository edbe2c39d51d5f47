const [QUOTE, BACKSLASH] = [34, 92];
const [OPEN_LIST, CLOSE_LIST, OPEN_RECORD, CLOSE_RECORD] = [91, 93, 123, 125];

/**
 * Whether JSON text nests lists and records more than `most` deep, told from its bytes or characters without parsing them:
 * what is parsed first can be made to cost far more than it weighs. Text that is no JSON gets some answer, and its parser the rest.
 */
export function isNestedDeeper(json: string | Uint8Array, most: number): boolean {
  const codeAt = typeof json === 'string' ? (i: number) => json.charCodeAt(i) : (i: number) => json[i]!;
  let depth = 0;
  let isInText = false;
  for (let i = 0; i < json.length; i++) {
    const code = codeAt(i);
    if (isInText) {
      if (code === BACKSLASH) i++;
      else if (code === QUOTE) isInText = false;
    } else if (code === QUOTE) isInText = true;
    else if (code === OPEN_LIST || code === OPEN_RECORD) {
      if (++depth > most) return true;
    } else if (code === CLOSE_LIST || code === CLOSE_RECORD) depth--;
  }
  return false;
}
