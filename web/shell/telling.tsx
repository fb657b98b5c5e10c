import { Switch } from 'antd';
import { useState } from 'react';
import { useChoice } from './choice.tsx';
import { askToTell, telling } from './notify.ts';

/** Whether this browser tells of what is due while one does not look, and how far it can. */
export function TellingChoice() {
  const [told, setTold] = useChoice('told');
  const [can, setCan] = useState(telling);
  const change = async (on: boolean) => {
    if (!on) return setTold('off');
    const now = await askToTell();
    setCan(now);
    setTold(now === 'on' ? 'on' : 'off');
  };
  return (
    <>
      <p>
        <Switch
          checked={told === 'on' && can === 'on'}
          disabled={can === 'none'}
          onChange={(on) => void change(on)}
          aria-label="Notices of the browser"
        />{' '}
        Notices of the browser, for what is due and was not seen
      </p>
      <p className="quiet small">{WORDS[can]}</p>
    </>
  );
}

const WORDS: Readonly<Record<ReturnType<typeof telling>, string>> = {
  on: 'Told while a page is open, also behind others; with all pages closed only where the browser looks by itself now and then, which few do.',
  asked: 'The browser asks you once.',
  refused: 'The browser was told not to: allow notices for this page in its settings.',
  none: 'This browser cannot, or not over plain http from another device: here the open page tells, with its sound.',
};
