import 'server-only';

export { writeBackup } from './back-up-bench';
export { bench, benchHouse, today } from './bench';
export { writeHouseRules } from './change-house-rules';
export { restoreBackup } from './restore-bench';
export { HOUSE_DEFAULTS, type HouseRules, readHouseRules } from './view-house-rules';
