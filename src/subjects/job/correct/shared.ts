export { attemptForm } from './input-attempt';
export { fileSizesInput } from './input-file-sizes';
