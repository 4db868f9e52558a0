'use client';

import { Archive, ArchiveRestore, Copy } from 'lucide-react';
import { v4 as newKey } from 'uuid';
import { Button } from '@/ui';
import { copyThisJob, putJobAway } from '../actions';

export function JobActions({ jobId, archived }: { jobId: number; archived: boolean }) {
  const Icon = archived ? ArchiveRestore : Archive;
  return (
    <div className="flex flex-wrap gap-3">
      <Button onClick={() => void copyThisJob(newKey(), jobId)}>
        <Copy size={16} aria-hidden /> Duplicate job
      </Button>
      <Button onClick={() => void putJobAway(newKey(), jobId, !archived)}>
        <Icon size={16} aria-hidden /> {archived ? 'Unarchive job' : 'Archive job'}
      </Button>
    </div>
  );
}
