export { takeAway as default } from './demo-bench.mjs';
