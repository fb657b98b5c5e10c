import type { Caution } from '#matter/guard';

const WORD: Readonly<Record<Caution['severity'], string>> = { stop: 'Stop and read', watch: 'Mind' };

/** Cautions, the grave ones first; each says its weight in a word, not by colour alone. */
export function Cautions({ cautions, title = 'Cautions' }: { cautions: readonly Caution[]; title?: string }) {
  if (cautions.length === 0) return null;
  const sorted = [...cautions].sort((a, b) => Number(b.severity === 'stop') - Number(a.severity === 'stop'));
  return (
    <section aria-label={title}>
      <h2 style={{ marginBottom: 8 }}>{title}</h2>
      {sorted.map((each) => (
        <div key={each.id} className={each.severity === 'stop' ? 'caution caution-stop' : 'caution'}>
          <span className="sr">{WORD[each.severity]}: </span>
          <b>{each.title}.</b> {each.text}
        </div>
      ))}
      <p className="quiet small">Local codes and those trained for it come first; these are the usual cautions.</p>
    </section>
  );
}

/** The cautions of several steps, each once. */
export function uniqueCautions(lists: Iterable<readonly Caution[]>): readonly Caution[] {
  const by = new Map<string, Caution>();
  for (const list of lists) {
    for (const each of list) {
      const known = by.get(each.id);
      if (!known || (known.severity === 'watch' && each.severity === 'stop')) by.set(each.id, each);
    }
  }
  return [...by.values()];
}
