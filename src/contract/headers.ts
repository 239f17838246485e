/** What requests and answers say of themselves beside their bodies. */

/** Where a device keeps what the kitchen answered. */
export const ANSWERS_STORE = 'ygrana-answers';
/** Said to a new release that waits: nothing is unsent, it may take over. */
export const TAKE_OVER = 'take-over';

/** Put on an answer that a device gives itself out of its store, while the kitchen is away. */
export const OUT_OF_STORE_HEADER = 'Ygrana-Kept';

/** Which kitchen answers; sent back with what is meant for it. */
export const KITCHEN_HEADER = 'Ygrana-Kitchen';
