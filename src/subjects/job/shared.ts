export { featureForm, kindFields, newJobForm } from './input-job';
export { formatTargetsCsv, parseTargetsCsv } from './input-targets-csv';
export { describeMaterial, describeRuin, describeWish } from './words-wish';
