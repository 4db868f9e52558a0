export { dayOf, hourOf, momentOf } from './days';
export { listAnd, listFew, listOr } from './lists';
export { formatChance, formatMinutes, formatMm, formatSigned, percent, plural, round } from './numbers';
export { quoted } from './quoted';
