export { BLOCK_OF_24, BLOCK_OF_6, type BlockFeature } from './blocks';
