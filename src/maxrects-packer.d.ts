/** The package's own module file: its main entry is of another kind than its package says, which Node refuses. */
declare module 'maxrects-packer/dist/maxrects-packer.mjs' {
  export { MaxRectsPacker } from 'maxrects-packer';
}
