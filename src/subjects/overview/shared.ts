export { describeLedgerEntry } from './words-ledger';
