/** Something to say about the last action; a problem is read out at once. */
export interface Remark {
  readonly text: string;
  readonly isProblem?: boolean;
}
