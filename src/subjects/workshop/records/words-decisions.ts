/** A decision as displayed. */
export interface DecisionWords {
  readonly title: string;
  readonly detail: string;
}

/** A line written when lines were kept in words; it reads as it did then. */
export type ToldEntry = { readonly code: 'told' } & DecisionWords;

export function describeToldEntry({ title, detail }: ToldEntry): DecisionWords {
  return { title, detail };
}
