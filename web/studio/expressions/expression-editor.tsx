import {
  acceptCompletion,
  autocompletion,
  closeCompletion,
  completionKeymap,
  completionStatus,
  type Completion,
  type CompletionContext,
  type CompletionResult,
} from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { forceLinting, linter, type Diagnostic } from '@codemirror/lint';
import { EditorState, Prec, type Extension } from '@codemirror/state';
import {
  Decoration,
  EditorView,
  ViewPlugin,
  keymap,
  placeholder as placeholderOf,
  type DecorationSet,
  type ViewUpdate,
} from '@codemirror/view';
import { useEffect, useMemo, useRef, useState } from 'react';
import { catalogue, type Telling } from '../../../core/expressions/catalogue.ts';
import { evaluate, helpers, say, shown, type Mistake } from '../../../core/expressions/evaluate.ts';
import { piecesOf } from '../../../core/expressions/text.ts';
import { learnSources } from '../../../core/sources/learn.ts';
import { useTelling } from './use-telling.ts';

interface Props {
  label: string;
  value: string;
  placeholder: string | undefined;
  /** The whole of it is one expression; otherwise a text with some between braces. */
  isExpression: boolean;
  check: (text: string) => string | null;
  onTurn: (text: string) => void;
  onEnd: () => void;
  onError: (sentence: string | null) => void;
}

/** What a text comes to under some circumstances, and what is wrong with it. */
function outcomeOf(
  text: string,
  isExpression: boolean,
  telling: Telling,
): { result: string; mistakes: Mistake[] } {
  if (!isExpression) {
    const { text: result, mistakes } = say(text, telling);
    return { result, mistakes };
  }
  if (text.trim() === '') return { result: '', mistakes: [] };
  const outcome = evaluate(text, telling);
  if (outcome.kind === 'mistake') return { result: '', mistakes: [outcome.mistake] };
  return { result: outcome.kind === 'value' ? shown(outcome.value, telling) : 'not known now', mistakes: [] };
}

/** Whether what is written at a place is an expression. */
function isInside(text: string, at: number, isExpression: boolean): boolean {
  if (isExpression) return true;
  return piecesOf(text.slice(0, at)).at(-1)?.kind === 'open';
}

/** Every reading with its present value and unit, and the helpers behind a dot. */
function completionsFor(isExpression: boolean, telling: () => Telling | null) {
  return (context: CompletionContext): CompletionResult | null => {
    if (!isInside(context.state.doc.toString(), context.pos, isExpression)) return null;
    const word = context.matchBefore(/[\w.]*/);
    if (!word || (word.from === word.to && !context.explicit)) return null;
    const now = telling();
    const names = catalogue.map(({ path, told, unit }): Completion => ({
      label: path,
      detail: now ? [presentOf(path, now), unit].filter(Boolean).join(' ') : unit,
      info: told,
      boost: 1,
    }));
    const dot = word.text.lastIndexOf('.');
    // Behind a whole name, what can be done with it.
    const isWhole = dot > 0 && catalogue.some(({ path }) => path === word.text.slice(0, dot));
    if (isWhole)
      return {
        from: word.from + dot + 1,
        options: helpers.map(({ label, told }) => ({ label, info: told, type: 'function' })),
        validFor: /^\w*$/,
      };
    return { from: word.from, options: names, validFor: /^[\w.]*$/ };
  };
}

function presentOf(path: string, telling: Telling): string {
  const outcome = evaluate(path, telling);
  return outcome.kind === 'value' ? shown(outcome.value, telling).slice(0, 24) : '–';
}

/** Marks what stands between braces. */
const expressionsMarked = ViewPlugin.fromClass(
  class {
    decorations: DecorationSet;
    constructor(view: EditorView) {
      this.decorations = marksOf(view);
    }
    update(update: ViewUpdate): void {
      if (update.docChanged) this.decorations = marksOf(update.view);
    }
  },
  { decorations: ({ decorations }) => decorations },
);

function marksOf(view: EditorView): DecorationSet {
  const mark = Decoration.mark({ class: 'text-brass' });
  return Decoration.set(
    piecesOf(view.state.doc.toString()).flatMap((piece) =>
      piece.kind === 'expression' ? [mark.range(piece.at - 1, piece.at + piece.source.length + 1)] : [],
    ),
  );
}

const look = EditorView.theme({
  '&': {
    fontSize: '12.5px',
    width: '100%',
    borderRadius: '8px',
    background: 'var(--pit)',
    color: 'var(--chalk)',
  },
  '&.cm-focused': { outline: '2px solid var(--brass)', outlineOffset: '1px' },
  '.cm-content': { fontFamily: 'var(--font-mono)', padding: '6px 0', caretColor: 'var(--brass)' },
  '.cm-line': { padding: '0 8px' },
  '.cm-cursor': { borderLeftColor: 'var(--brass)' },
  '.cm-placeholder': { color: 'var(--dust)', fontStyle: 'italic', opacity: '0.8' },
  '.cm-lintRange-error': { background: 'none', textDecoration: 'underline wavy var(--rust)' },
  '.cm-tooltip': {
    background: 'var(--nap)',
    border: '1px solid var(--seam)',
    borderRadius: '8px',
    color: 'var(--chalk)',
    overflow: 'hidden',
  },
  '.cm-tooltip.cm-completionInfo': { padding: '6px 10px', maxWidth: '220px' },
  '.cm-tooltip-autocomplete > ul': { fontFamily: 'var(--font-mono)', maxHeight: '220px' },
  '.cm-tooltip-autocomplete > ul > li': { padding: '3px 8px' },
  '.cm-tooltip-autocomplete > ul > li[aria-selected]': {
    background: 'var(--brass)',
    color: 'var(--on-brass)',
  },
  '.cm-completionDetail': { fontStyle: 'normal', opacity: '0.75', marginLeft: '10px' },
  '.cm-completionIcon': { display: 'none' },
  '.cm-diagnostic': { borderLeft: '3px solid var(--rust)', padding: '4px 10px' },
});

/** What the editor's own code reads, as it is just now. */
interface Now extends Pick<Props, 'check' | 'onTurn' | 'onEnd' | 'onError'> {
  telling: Telling | null;
}

interface Asked extends Pick<Props, 'label' | 'placeholder' | 'isExpression'> {
  now: { readonly current: Now };
  onText: (text: string) => void;
}

function extensionsFor({ label, placeholder, isExpression, now, onText }: Asked): Extension[] {
  return [
    look,
    history(),
    EditorView.lineWrapping,
    expressionsMarked,
    placeholder ? placeholderOf(placeholder) : [],
    EditorView.contentAttributes.of({ 'aria-label': label, spellcheck: 'false' }),
    autocompletion({
      interactionDelay: 0,
      override: [completionsFor(isExpression, () => now.current.telling)],
      icons: false,
    }),
    linter(({ state }) => diagnosticsOf(state.doc.toString(), isExpression, now.current.telling), {
      delay: 150,
    }),
    Prec.highest(
      keymap.of([
        { key: 'Tab', run: acceptCompletion },
        {
          key: 'Escape',
          // The studio closes the column by it: here it closes the list first.
          run: (editor) => completionStatus(editor.state) !== null && closeCompletion(editor),
        },
        ...(isExpression
          ? [{ key: 'Enter', run: (editor: EditorView) => completionStatus(editor.state) !== 'active' }]
          : []),
      ]),
    ),
    keymap.of([...completionKeymap, ...historyKeymap, ...defaultKeymap]),
    EditorView.updateListener.of((update) => {
      if (update.docChanged) onText(update.state.doc.toString());
    }),
    EditorView.domEventHandlers({
      blur: () => now.current.onEnd(),
    }),
  ];
}

/**
 * Where a text with expressions is written: readings are completed with their present values, what it comes to stands
 * below, and a mistake is marked at its place. The last text without one stays on the desk.
 */
export function ExpressionEditor({ label, value, placeholder, isExpression, ...rest }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView | null>(null);
  const telling = useTelling();
  const [draft, setDraft] = useState(value);
  const [isReady, setReady] = useState(false);
  useEffect(() => {
    void learnSources().then(() => setReady(true));
  }, []);
  const outcome = useMemo(
    () => (telling && isReady ? outcomeOf(draft, isExpression, telling) : null),
    [draft, isExpression, telling, isReady],
  );

  // What the editor's own code reads, as it is now.
  const now = useRef<Now>({ telling, ...rest });
  useEffect(() => {
    now.current = { telling, ...rest };
  });
  const given = useRef(value);

  useEffect(() => {
    if (!box.current || !isReady) return;
    const made = new EditorView({
      parent: box.current,
      state: EditorState.create({
        doc: given.current,
        extensions: extensionsFor({ label, placeholder, isExpression, now, onText: take }),
      }),
    });
    view.current = made;
    return () => {
      view.current = null;
      made.destroy();
    };

    function take(text: string): void {
      setDraft(text);
      if (text === given.current) return;
      const { telling: circumstances, onTurn, onError, check } = now.current;
      const wrong = check(text);
      onError(wrong);
      if (wrong || !circumstances) return;
      if (outcomeOf(text, isExpression, circumstances).mistakes.length > 0) return;
      given.current = text;
      onTurn(text);
    }
  }, [isReady, isExpression, label, placeholder]);

  // Changed from elsewhere: by a step back, say.
  useEffect(() => {
    if (value === given.current) return;
    given.current = value;
    const editor = view.current;
    if (editor && editor.state.doc.toString() !== value)
      editor.dispatch({ changes: { from: 0, to: editor.state.doc.length, insert: value } });
    if (editor) forceLinting(editor);
  }, [value]);

  const [mistake] = outcome?.mistakes ?? [];
  return (
    <div className="grid w-full gap-1">
      <div ref={box} className="min-h-8" data-expression={label} />
      {mistake ? (
        <p role="alert" className="text-[12px] text-rust">
          {mistake.sentence}. The last good text stays.
        </p>
      ) : (
        outcome &&
        outcome.result !== draft && (
          <p className="truncate text-[12px] text-dust" aria-live="polite">
            {outcome.result.split('\n')[0]}
          </p>
        )
      )}
    </div>
  );
}

function diagnosticsOf(text: string, isExpression: boolean, telling: Telling | null): Diagnostic[] {
  if (!telling) return [];
  return outcomeOf(text, isExpression, telling).mistakes.map(({ sentence, start, end }) => ({
    from: Math.min(start, text.length),
    to: Math.min(end, text.length),
    severity: 'error',
    message: sentence,
  }));
}
