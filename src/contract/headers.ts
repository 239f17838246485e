/** What requests and answers say of themselves beside their bodies. */

/** Put on an answer that a device gives itself out of its store, while the kitchen is away. */
export const OUT_OF_STORE_HEADER = 'Ygrana-Kept';

/** Which kitchen answers; sent back with what is meant for it. */
export const KITCHEN_HEADER = 'Ygrana-Kitchen';
