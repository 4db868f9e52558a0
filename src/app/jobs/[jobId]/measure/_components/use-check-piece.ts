import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v4 as newKey } from 'uuid';
import { type PieceAnswer, readPiece } from '@/app/_components/check-caliper';
import type { Remark } from './remark';

/** A reference piece, as typed. */
export interface PieceOnBench {
  readonly jaw: 'outside' | 'inside';
  readonly piece: string;
  readonly knownMm: string;
  readonly uncertaintyMm: string;
}

const LOST = {
  ok: false,
  isFar: false,
  message: 'The connection was lost and this reading was not saved. Measure again.',
};

/** The field reads a reference piece instead of the part: which one, how often it was read, and the last message. */
export function useCheckPiece(instrumentId: number, arm: () => void) {
  const router = useRouter();
  const [piece, setPiece] = useState<PieceOnBench | undefined>();
  const [count, setCount] = useState(0);
  const [remark, setRemark] = useState<Remark | undefined>();
  /** A reading far from the piece, which was asked about. */
  const [asked, setAsked] = useState<string | undefined>();

  const start = (wanted: PieceOnBench) => {
    setPiece(wanted);
    setCount(0);
    setRemark(undefined);
    arm();
  };
  const stop = () => {
    setPiece(undefined);
    setAsked(undefined);
    setRemark(undefined);
    arm();
  };
  /** Keeps one reading; gives whether the field may be emptied. */
  const take = async (readingMm: string, isRight = false): Promise<boolean> => {
    if (piece === undefined) return false;
    const data = new FormData();
    for (const [name, value] of Object.entries({ ...piece, readingMm })) data.set(name, value);
    if (isRight) data.set('isRight', 'on');
    const answer = await readPiece(newKey(), instrumentId, data).catch((): PieceAnswer => LOST);
    setAsked(answer.isFar ? readingMm : undefined);
    setRemark(answer.ok ? undefined : { text: answer.message ?? 'Not saved.', isProblem: true });
    if (answer.ok) {
      setCount((before) => before + 1);
      router.refresh();
    }
    arm();
    return answer.ok;
  };
  return { piece, count, remark, asked, start, stop, take };
}
