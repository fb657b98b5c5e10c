import { useParams } from 'react-router';
import { sentenceOf } from '../api/client.ts';
import { useRun } from '../run/use-run.ts';
import { Bench } from './bench.tsx';
import './bench.css';

/** The bench station for one run. */
export function BenchPage() {
  const { batchId } = useParams();
  const { run, error, problem } = useRun(batchId);
  if (run) return <Bench key={run.batch.id} run={run} />;
  if (error) return <p className="problem">{sentenceOf(error)}</p>;
  if (problem) return <p className="problem">{problem}</p>;
  return <p className="waiting-block">Loading the run …</p>;
}
