import { sentenceOf } from '../api/client.ts';
import { useShare, useWithdraw } from '../api/share.ts';
import { instantText } from '../parts/day.ts';
import { PairCode } from '../parts/pair-code.tsx';

/** Phones and tablets at the bench: how one is let in, which are, and the way out again. */
export function Devices() {
  const share = useShare();
  const withdraw = useWithdraw();
  // A paired device is told nothing of the others.
  if (!share.data) return null;
  const { on, devices } = share.data;
  return (
    <section aria-labelledby="near">
      <h2 id="near">A phone or tablet at the bench</h2>
      {on ? (
        <PairCode />
      ) : (
        <p>
          The notebook is open on this machine alone. To have it on a phone in your home network, stop it and start it
          by <span className="mono">npm start -- --share</span>.
        </p>
      )}
      {devices.length > 0 ? (
        <table className="plain-table">
          <thead>
            <tr>
              <th scope="col">device</th>
              <th scope="col">paired</th>
              <th scope="col">last seen</th>
              <th scope="col">
                <span className="sr">withdraw</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {devices.map(({ id, name, pairedAt, seenAt }) => (
              <tr key={id}>
                <td>{name}</td>
                <td>{instantText(pairedAt)}</td>
                <td>{instantText(seenAt)}</td>
                <td className="right">
                  <button
                    type="button"
                    className="link"
                    aria-label={`Withdraw ${name}`}
                    onClick={() => withdraw.mutate(id)}
                  >
                    Withdraw
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      {withdraw.isError ? <p className="problem">{sentenceOf(withdraw.error)}</p> : null}
    </section>
  );
}
