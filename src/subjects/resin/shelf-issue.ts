import type { ResinSheetIssue } from '@/core/resins';

export type ShelfChangeIssue =
  | { readonly code: 'gone' }
  | { readonly code: 'nameTaken'; readonly name: string }
  | { readonly code: 'resinSheet'; readonly issue: ResinSheetIssue }
  | { readonly code: 'moreThanFull'; readonly fullMl: number };
