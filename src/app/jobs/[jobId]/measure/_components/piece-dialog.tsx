import { useState } from 'react';
import { Button, Dialog, PlainChoice, PlainField } from '@/ui';
import type { PieceOnBench } from './use-check-piece';

/** The last piece that each jaw was checked on. */
export interface KnownPiece {
  readonly jaw: PieceOnBench['jaw'];
  readonly piece: string;
  readonly knownMm: number;
  readonly u_mm: number;
}

interface PieceDialogProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly pieces: readonly KnownPiece[];
  readonly onStart: (piece: PieceOnBench) => void;
}

const BLANK = { piece: '', knownMm: '', uncertaintyMm: '0.001' };

function asTyped(pieces: readonly KnownPiece[], jaw: PieceOnBench['jaw']): PieceOnBench {
  const last = pieces.find((each) => each.jaw === jaw);
  if (last === undefined) return { jaw, ...BLANK };
  return { jaw, piece: last.piece, knownMm: String(last.knownMm), uncertaintyMm: String(2 * last.u_mm) };
}

/** The field that readings go into has the focus again. */
function arm(): void {
  document.querySelector<HTMLInputElement>('[data-armed]')?.focus();
}

/** Says which piece of known size is read next; its readings then go into the same field as the part's. */
export function PieceDialog({ open, onOpenChange, pieces, onStart }: PieceDialogProps) {
  const [typed, setTyped] = useState(() => asTyped(pieces, 'outside'));
  const set = (name: keyof PieceOnBench) => (event: { target: { value: string } }) =>
    setTyped((before) => ({ ...before, [name]: event.target.value }));
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Check the caliper on a reference piece"
      onClosed={arm}
    >
      <form
        aria-label="Reference piece"
        className="grid gap-3 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          onOpenChange(false);
          onStart(typed);
        }}
      >
        <PlainChoice
          name="jaw"
          label="Jaws used"
          value={typed.jaw}
          onChange={(event) => setTyped(asTyped(pieces, event.target.value as PieceOnBench['jaw']))}
          choices={[
            { value: 'outside', label: 'outside jaws' },
            { value: 'inside', label: 'inside jaws' },
          ]}
        />
        <PlainField
          name="piece"
          label="Piece"
          value={typed.piece}
          onChange={set('piece')}
          placeholder="10 mm gauge block"
          required
        />
        <PlainField
          name="knownMm"
          label="Known size"
          unit="mm"
          value={typed.knownMm}
          onChange={set('knownMm')}
          inputMode="decimal"
          required
        />
        <PlainField
          name="uncertaintyMm"
          label="Uncertainty of the known size, ±"
          unit="mm"
          value={typed.uncertaintyMm}
          onChange={set('uncertaintyMm')}
          inputMode="decimal"
          required
        />
        <Button type="submit" weight="main" className="justify-self-start sm:col-span-2">
          Start check
        </Button>
      </form>
    </Dialog>
  );
}
