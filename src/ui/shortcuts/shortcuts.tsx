'use client';

import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';

/** A key of this screen, listed under `?`. */
interface Shortcut {
  /** As KeyboardEvent.key gives it; for a place on the keyboard (`code` given) only what the list shows. */
  readonly key: string;
  /** A place on the keyboard, as KeyboardEvent.code gives it: neighbouring keys stay neighbours on every layout. */
  readonly code?: string;
  readonly does: string;
  /** Left out: the key works by itself (Enter in a form) and is only listed. */
  readonly run?: () => void;
  /** Works while a field has the focus and is empty, too. */
  readonly onEmptyField?: boolean;
}

interface Registry {
  readonly register: (shortcuts: readonly Shortcut[]) => () => void;
  readonly list: () => readonly Shortcut[];
  readonly letterKeys: boolean;
}

const ShortcutContext = createContext<Registry | undefined>(undefined);

function isTyping(target: EventTarget | null): target is HTMLInputElement | HTMLTextAreaElement {
  return (
    target instanceof HTMLInputElement ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement
  );
}

function mayRun(shortcut: Shortcut, event: KeyboardEvent, letterKeys: boolean): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey || event.isComposing) return false;
  if (shortcut.key.length === 1 && !letterKeys) return false;
  if (shortcut.code === undefined ? shortcut.key !== event.key : shortcut.code !== event.code) return false;
  const { target } = event;
  if (!isTyping(target)) return true;
  const isText = target instanceof HTMLInputElement && !['checkbox', 'radio', 'file'].includes(target.type);
  if (shortcut.key.startsWith('Page'))
    return !(target instanceof HTMLTextAreaElement) && !(target instanceof HTMLSelectElement);
  return (
    shortcut.onEmptyField === true && isText && target.dataset.armed !== undefined && target.value === ''
  );
}

/** Keys of the screen in one place: components register theirs, one listener serves all, `?` lists them. */
export function ShortcutProvider({ letterKeys, children }: { letterKeys: boolean; children: ReactNode }) {
  const groups = useRef(new Set<readonly Shortcut[]>());
  const register = useCallback((shortcuts: readonly Shortcut[]) => {
    groups.current.add(shortcuts);
    return () => void groups.current.delete(shortcuts);
  }, []);
  const list = useCallback(() => [...groups.current].flat(), []);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented || document.querySelector('[role=dialog]')) return;
      const shortcut = list().findLast(
        (candidate) => candidate.run !== undefined && mayRun(candidate, event, letterKeys),
      );
      if (shortcut?.run === undefined) return;
      event.preventDefault();
      shortcut.run();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [list, letterKeys]);
  const registry = useMemo(() => ({ register, list, letterKeys }), [register, list, letterKeys]);
  return <ShortcutContext value={registry}>{children}</ShortcutContext>;
}

function useRegistry(): Registry {
  const registry = useContext(ShortcutContext);
  if (registry === undefined) throw new RangeError('useShortcuts: no ShortcutProvider above');
  return registry;
}

/** Registers keys while the component is mounted. The list may change at every render. */
export function useShortcuts(shortcuts: readonly Shortcut[]): void {
  const { register } = useRegistry();
  const latest = useRef(shortcuts);
  useEffect(() => {
    latest.current = shortcuts;
  });
  const signature = JSON.stringify(
    shortcuts.map(({ key, code, does, onEmptyField }) => [key, code, does, onEmptyField]),
  );
  useEffect(() => {
    const stable = latest.current.map((shortcut, i) => ({
      ...shortcut,
      run: shortcut.run && (() => latest.current[i].run?.()),
    }));
    return register(stable);
  }, [register, signature]);
}

/** The keys registered at this moment, for the list under `?`. */
export function useShortcutList(): readonly Shortcut[] {
  const { list } = useRegistry();
  const [shown] = useState(list);
  return shown;
}
