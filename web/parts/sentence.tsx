import type { TextPart } from '#run/sheet';
import { useMargin } from './margin.tsx';

/** A sentence of a step: its numbers open their working. */
export function Sentence({ parts }: { parts: readonly TextPart[] }) {
  const { show } = useMargin();
  return parts.map((part, i) =>
    part.is === 'text' ? (
      // biome-ignore lint/suspicious/noArrayIndexKey: parts of one sentence in their order
      <span key={i}>{part.text}</span>
    ) : (
      <button
        // biome-ignore lint/suspicious/noArrayIndexKey: parts of one sentence in their order
        key={i}
        type="button"
        className="num-open"
        aria-label={`${part.shown}, open its working`}
        onClick={() => show(part.figure)}
      >
        {part.shown}
      </button>
    ),
  );
}

export function plainText(parts: readonly TextPart[]): string {
  return parts.map((part) => (part.is === 'text' ? part.text : part.shown)).join('');
}
