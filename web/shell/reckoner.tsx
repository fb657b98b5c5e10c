import { lazy, Suspense, useEffect, useId, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link } from 'react-router';
import { examples } from '#ask/reckon';
import { anywhere } from '../kit/is-typing.ts';
import { Num } from '../parts/num.tsx';
import { useCompute } from '../worker/compute.ts';
import { useWhenSettled } from '../worker/use-when-settled.ts';
import { KeepAnswer } from './keep-answer.tsx';
import { readHistory, remember } from './reckoner-history.ts';
import './reckoner.css';

const AskedOfTheWeek = lazy(async () => ({ default: (await import('../fits/asked-of-the-week.tsx')).AskedOfTheWeek }));
/** Lines that are asked of one’s own week and not of the book. */
const OF_THE_WEEK_EXAMPLES = ['when 60 g zinc sulfate', 'fits 2 h'];
const OF_THE_WEEK = /^\s*(?:when|fits)\b/i;

/** The Reckoner: one line for the sums people do on scraps, answered as it is typed, each number with its working. */
export function Reckoner() {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const box = useRef<HTMLDivElement>(null);
  const [text, setText] = useState('');
  const [open, setOpen] = useState(false);
  const [history, setHistory] = useState(readHistory);
  const ofWeek = OF_THE_WEEK.test(text);
  const answer = useCompute(
    'reckon',
    useMemo(() => (text.trim() === '' || ofWeek ? undefined : { text }), [text, ofWeek]),
  );
  const choices = useMemo(() => [...new Set([...history, ...examples, ...OF_THE_WEEK_EXAMPLES])], [history]);
  useHotkeys('/', () => input.current?.focus(), { preventDefault: true, useKey: true, ...anywhere });
  useEffect(() => {
    const away = (event: PointerEvent) => {
      const target = event.target as HTMLElement;
      // A number's working opens in the margin; the answers stay beside it.
      if (!box.current?.contains(target) && !target.closest('.margin')) setOpen(false);
    };
    document.addEventListener('pointerdown', away);
    return () => document.removeEventListener('pointerdown', away);
  }, []);
  const settled = answer.problem === undefined ? answer.value : undefined;
  const kept = useWhenSettled(answer.busy, () => {
    if (settled) setHistory(remember(text));
  });
  return (
    <div className="reckoner" ref={box}>
      <search>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            kept.ask();
          }}
        >
          <label htmlFor={id} className="sr">
            Reckoner
          </label>
          <input
            id={id}
            ref={input}
            value={text}
            list={`${id}-choices`}
            placeholder="28% HCl in mol/L"
            maxLength={300}
            autoComplete="off"
            spellCheck={false}
            aria-describedby={`${id}-answer`}
            onFocus={() => setOpen(true)}
            onKeyDown={(event) => {
              if (event.key !== 'Escape') return;
              setOpen(false);
              input.current?.blur();
            }}
            onChange={(event) => {
              setText(event.target.value);
              setOpen(true);
            }}
          />
          <datalist id={`${id}-choices`}>
            {choices.map((each) => (
              <option key={each} value={each} />
            ))}
          </datalist>
          <kbd>/</kbd>
        </form>
      </search>
      <div id={`${id}-answer`} className="reckoner-answer" aria-live="polite" hidden={!open || text.trim() === ''}>
        {ofWeek && open ? (
          <Suspense fallback={<p className="quiet small">Looking at the week …</p>}>
            <AskedOfTheWeek text={text} />
          </Suspense>
        ) : null}
        {answer.problem ? <Stumble text={text} message={answer.problem.message} at={answer.problem.at} /> : null}
        {settled ? (
          <>
            <ul>
              {settled.answers.map((figure) => (
                <li key={`${figure.symbol}${figure.name}`}>
                  <span className="quiet">{figure.name}</span> <Num figure={figure} />
                </li>
              ))}
            </ul>
            <PanelFor text={text} />
            <KeepAnswer text={text} answer={settled} />
            {settled.note ? <p className="small">{settled.note}</p> : null}
            {settled.cautions.map((each) => (
              <p key={each} className="small watch">
                {each}
              </p>
            ))}
          </>
        ) : null}
      </div>
    </div>
  );
}

/** The panel that goes on from a sum. */
function PanelFor({ text }: { text: string }) {
  const panel = PANEL.find(([begins]) => begins.test(text.trim()))?.[1];
  return panel === undefined ? null : (
    <p className="small">
      <Link to={`/panels/${panel}`}>Open its panel</Link>
    </p>
  );
}

const PANEL: readonly (readonly [RegExp, string])[] = [
  [/^(?:crystals|dissolve)\b/i, 'dish'],
  [/^(?:evaporate|boil)\b/i, 'evaporate'],
  [/^dry\b/i, 'dry'],
  [/^wash\b/i, 'wash'],
  [/^clash\b/i, 'clash'],
  [/^buffer\b/i, 'buffer'],
];

/** The line with the words it stumbled over marked, and why. */
function Stumble({ text, message, at }: { text: string; message: string; at: readonly [number, number] | undefined }) {
  const [from, to] = at ?? [0, 0];
  return (
    <>
      {at && to > from ? (
        <p className="mono small" aria-hidden="true">
          {text.slice(0, from)}
          <mark>{text.slice(from, to)}</mark>
          {text.slice(to)}
        </p>
      ) : null}
      <p className="problem small">{message}</p>
    </>
  );
}
