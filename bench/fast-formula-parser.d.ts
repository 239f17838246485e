declare module 'fast-formula-parser' {
  interface Cell {
    readonly row: number;
    readonly col: number;
  }
  class Parser {
    constructor(hooks: {
      readonly onCell: (cell: Cell) => number;
      readonly onRange: (range: { readonly from: Cell; readonly to: Cell }) => readonly (readonly number[])[];
    });
    parse(
      formula: string,
      position: { readonly sheet: string; readonly row: number; readonly col: number },
    ): unknown;
  }
  export { Parser as default };
}
