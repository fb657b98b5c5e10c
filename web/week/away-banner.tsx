import { useNavigate } from 'react-router';
import { useBench, useSaveBench } from '../api/queries.ts';
import { notebookInstant } from '../kit/clock.ts';
import { awayNow, withAway } from './away-now.ts';
import './leaving.css';
import { whenSaid } from '../parts/when-text.ts';

/** Says since when nobody is at the bench, and takes it that somebody is again. */
export function AwayBanner({ now }: { now: number }) {
  const bench = useBench();
  const save = useSaveBench();
  const navigate = useNavigate();
  const hours = bench.data?.bench.hours;
  const away = hours && awayNow(hours);
  if (!away || !bench.data) return null;
  const late = Date.parse(away.to) < now - 60_000;
  const back = () => {
    const others = hours.away.filter((each) => each !== away);
    const left = away.from;
    save.mutate(
      {
        basedOn: bench.data.version,
        bench: {
          ...bench.data.bench,
          hours: { ...hours, away: withAway(others, { ...away, to: notebookInstant(), why: 'away' }) },
        },
      },
      { onSuccess: () => void navigate(`/bench/back?left=${encodeURIComponent(left)}`) },
    );
  };
  return (
    <p className={late ? 'leaving-away watch' : 'leaving-away'}>
      Nobody at the bench since {whenSaid(Date.parse(away.from), now)}; back by {whenSaid(Date.parse(away.to), now)}
      {late ? ', which is past' : ''}.{' '}
      <button type="button" className="act" onClick={back} disabled={save.isPending}>
        I am back
      </button>
    </p>
  );
}
