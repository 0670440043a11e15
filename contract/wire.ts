/** What requests and answers say of themselves besides their bodies; without Zod, for the app's first load. */

/**
 * The version of the contract that this code writes. Every body carries the version it was written for as
 * `contract`, and `contract/earlier` keeps what reads older ones.
 */
export const CONTRACT_VERSION = 10;

/** Every answer of the API carries the server's contract version here: an answer without it comes from elsewhere. */
export const CONTRACT_HEADER = 'x-pedastance-contract';

/** A write that has landed is answered with its identifier here. */
export const LANDED_HEADER = 'x-pedastance-landed';
