/** The part of an independent library that the tests ask. */
declare module 'dijkstrajs' {
  export function find_path(
    graph: Readonly<Record<string, Readonly<Record<string, number>>>>,
    from: string,
    to: string,
  ): string[];
}
