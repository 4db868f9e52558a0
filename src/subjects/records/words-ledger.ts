/** A decision as displayed. */
export interface LedgerWords {
  readonly title: string;
  readonly detail: string;
}

/** A line written when lines were kept in words; it reads as it did then. */
export type ToldEntry = { readonly code: 'told' } & LedgerWords;

export function describeToldEntry({ title, detail }: ToldEntry): LedgerWords {
  return { title, detail };
}
