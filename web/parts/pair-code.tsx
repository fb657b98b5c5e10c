import { useShare } from '../api/share.ts';
import { print } from '../theme/print.ts';
import { QrCode } from './qr-code.tsx';
import './pair-code.css';

/** How often the code of now is asked for while it is looked at, and who came, ms. */
const LOOK_MS = 3000;

/** How a phone or tablet is let in: a picture for its camera, and the same to type. */
export function PairCode() {
  const { data } = useShare({ everyMs: LOOK_MS });
  if (!data?.on || !data.code) return null;
  const [url] = data.urls;
  if (!url) return <p className="problem">This machine is in no network: join one, then start it again.</p>;
  return (
    <div className="pair-code">
      <svg viewBox="-4 -4 108 108" role="img" aria-label={`Code for the camera: ${url}/pair`}>
        <rect x="-4" y="-4" width="108" height="108" fill={print.paper} />
        <QrCode text={`${url}/pair#${data.code}`} x={0} y={0} size={100} />
      </svg>
      <div>
        <p>Point its camera here, or open</p>
        <p className="mono pair-url">{url}</p>
        <p>and type</p>
        <p className="mono pair-digits">
          {data.code.slice(0, 3)} {data.code.slice(3)}
        </p>
        <p className="quiet small">
          The code is good for one device and changes every ten minutes. What goes between them is not encrypted: use it
          in a home network you trust, never in one of strangers.
        </p>
      </div>
    </div>
  );
}
