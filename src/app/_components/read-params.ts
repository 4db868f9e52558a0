import { notFound } from 'next/navigation';

/** A row's id from the address; anything else is no page. */
export function idFrom(text: string): number {
  if (!/^\d{1,15}$/.test(text)) notFound();
  return Number(text);
}
