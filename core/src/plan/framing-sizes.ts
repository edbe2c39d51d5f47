/** Actual thickness of a stud's edge, inches. */
export const STUD_WIDTH_IN = 1.5;
/** Least clear height over an opening that its header is taken to fill, inches: *common practice*, a doubled 2x8 and more. */
export const HEADER_IN = 7.25;
/** Casing beside an opening, inches: *common practice*. */
export const CASING_IN = 2.25;

/** Half the width of a single-gang box, inches: *common practice* for plastic nail-on boxes; 1.8 in more for each gang. */
const HALF_BOX_IN = 1.125;
const FURTHER_GANG_IN = 1.8125;
/** Half the width of a box of so many gangs, inches. */
export const halfBoxWidthIn = (gangs: number): number => HALF_BOX_IN + ((gangs - 1) * FURTHER_GANG_IN) / 2;
/** Half the height of a device box, inches: *common practice*, about 3 3/4 in from top to bottom. */
export const HALF_BOX_HEIGHT_IN = 1.875;
