import type { Question } from '#matter/label';
import './asked.css';

/** A question with its answers as buttons, and what decides between them. */
export function Asked({ question, onChoose }: { question: Question; onChoose: (text: string) => void }) {
  return (
    <fieldset className="asked">
      <legend>{question.asks}</legend>
      {question.choices.map(({ says, decides, text }) => (
        <button key={text} type="button" className="asked-choice" onClick={() => onChoose(text)}>
          <span>{says}</span>
          {decides ? <span className="quiet small">{decides}</span> : null}
        </button>
      ))}
    </fieldset>
  );
}
