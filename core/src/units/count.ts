/** The word for so many of something: "box", "boxes". */
export const wordFor = (n: number, one: string, many = `${one}s`): string => (n === 1 ? one : many);

/** "1 receptacle", "3 receptacles". */
export const count = (n: number, one: string, many?: string): string => `${n} ${wordFor(n, one, many)}`;
