export { cautionOfGate, describeGate, GATE_KEYS, type GateFact, type GateKey, nameGate } from './words-gate';
export { describePlateEntry, type PlateEntry } from './words-ledger';
export { describePlaceIssue, describePlateIssue, describeVatIssue, type PlateIssue } from './words-plate';
export {
  addForm,
  aroundForm,
  copiesForm,
  endForm,
  gateInput,
  layersInput,
  layForm,
  moveInput,
  pourForm,
  stopForm,
  vatForm,
  weighForm,
} from './input-plate';
