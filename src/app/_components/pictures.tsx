'use client';

import { v4 as newKey } from 'uuid';
import { LARGEST_PICTURE_BYTES } from '@/core/job/need';
import { ActionForm, Button, TextField } from '@/ui';
import { addPicture, dropPicture } from '@/app/jobs/[jobId]/need/actions';
import { describePictureIssue, pictureForm } from '@/subjects/job/need/shared';
import { type FormAnswer, refused } from '@/subjects/kit/shared';

interface PicturesProps {
  readonly jobId: number;
  /** Of what came off this run; undefined: of the part and where it sits. */
  readonly runId?: number;
  readonly title: string;
  readonly pictures: readonly { readonly id: number; readonly caption: string }[];
}

/** Photos and sketches of the old part, of where it sits, of what went wrong. */
export function Pictures({ jobId, runId, title, pictures }: PicturesProps) {
  // Said before sending: the server would cut off an upload of this size without a word.
  const keep = async (before: FormAnswer, data: FormData) => {
    const file = data.get('file');
    const bytes = file instanceof File ? file.size : 0;
    return bytes > LARGEST_PICTURE_BYTES
      ? refused(describePictureIssue({ code: 'pictureTooLarge', bytes, limitBytes: LARGEST_PICTURE_BYTES }))
      : addPicture(jobId, before, data);
  };
  return (
    <section aria-labelledby="pictures-title">
      <h2 id="pictures-title" className="mb-2 text-lg">
        {title}
      </h2>
      <ul className="grid grid-cols-2 gap-3">
        {pictures.map(({ id, caption }) => (
          <li key={id}>
            <a href={`/api/pictures/${id}`} target="_blank" rel="noreferrer">
              {/* A file of this server at its own size: nothing to optimise. */}
              {/* eslint-disable-next-line @next/next/no-img-element */}
              <img src={`/api/pictures/${id}`} alt={caption} className="max-h-40 w-full object-contain" />
            </a>
            <p className="flex items-baseline justify-between gap-2 text-sm">
              {caption}
              <button
                type="button"
                className="min-h-6 text-soft underline"
                aria-label={`Remove picture: ${caption}`}
                onClick={() => void dropPicture(newKey(), jobId, id)}
              >
                Remove
              </button>
            </p>
          </li>
        ))}
      </ul>
      <ActionForm
        form={pictureForm}
        action={keep}
        label="Add photo or sketch"
        className="mt-2 grid items-end gap-2 sm:grid-cols-2"
      >
        {runId !== undefined && <input type="hidden" name="runId" value={runId} />}
        <label className="block text-sm text-soft">
          <span className="mb-1 block">Photo or sketch (JPEG, PNG, WebP)</span>
          <input type="file" name="file" accept="image/jpeg,image/png,image/webp" className="w-full" />
        </label>
        <TextField name="caption" />
        <Button type="submit" className="justify-self-start">
          Save picture
        </Button>
      </ActionForm>
    </section>
  );
}
