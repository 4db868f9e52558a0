import { buttonLook, Caution } from '@/ui';
import { PrintForm, type PrintFormProps } from './print-form';

interface PrintPanelProps extends Omit<PrintFormProps, 'again'> {
  readonly attemptNumber: number;
  /** The program builds the file itself. */
  readonly files: boolean;
}

/** The attempt is drawn and waits for its print. */
export function PrintPanel({ attemptNumber, files, ...print }: PrintPanelProps) {
  const { jobId, simulated } = print;
  return (
    <div className="max-w-prose space-y-4" data-fills-screen>
      <h2 className="text-xl">Attempt {attemptNumber} is drawn and ready to print</h2>
      <p className="text-soft">
        {simulated
          ? 'This printer is simulated. It prints at once, with hidden faults, and you read its sizes with the simulated caliper.'
          : 'Print, wash, dry and cure the part as the profile says. Let it cool, then measure it here.'}
      </p>
      {files && (
        <p className="flex flex-wrap gap-2">
          <a className={buttonLook('plain')} href={`/api/jobs/${jobId}/part?as=stl&save`} download>
            File as STL
          </a>
          <a className={buttonLook('plain')} href={`/api/jobs/${jobId}/part?as=3mf&save`} download>
            as 3MF
          </a>
        </p>
      )}
      <WetCaution />
      <PrintForm {...print} again={false} />
    </div>
  );
}

/** Everything that comes off the plate is wet with uncured resin. */
export function WetCaution() {
  return (
    <Caution>
      Uncured resin is on the part, in the wash liquid and in every drip. Wear nitrile gloves and eye
      protection, and open a window. Take the gloves off before you touch the keyboard or the phone. Do not
      eat or drink here. Point scrapers and cutters away from your fingers. Follow the safety data sheets and
      your local rules for waste.
    </Caution>
  );
}
