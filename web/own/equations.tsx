import { Input } from 'antd';
import { formatNumber, formatPlain } from '#base/units';
import type { Reaction } from '#matter/reaction';
import { formulaText, type SubstanceId, substanceOf } from '#matter/substance';
import type { OwnAnswer } from '#run/own';
import type { Plan } from '#run/plan';
import type { Sheet } from '#run/sheet';
import { Field } from '../kit/field.tsx';
import { Num } from '../parts/num.tsx';

interface EquationsProps {
  readonly typed: readonly string[];
  readonly answers: OwnAnswer['equations'];
  readonly notHeld: readonly string[];
  readonly onType: (equations: readonly string[]) => void;
}

/** Equations as one types them, each with what it came to; none where nothing has to react. */
export function Equations({ typed, answers, notHeld, onType }: EquationsProps) {
  // Empty lines are not asked.
  const answerOf = (i: number) => {
    const at = typed.slice(0, i).filter((each) => each.trim() !== '').length;
    return typed[i]?.trim() ? answers[at] : undefined;
  };
  return (
    <section aria-label="Equations" className="own-equations">
      {typed.map((text, i) => {
        const answer = answerOf(i);
        return (
          // Lines have no other name than their place.
          // biome-ignore lint/suspicious/noArrayIndexKey: see above
          <div key={i} className="own-equation">
            <Field
              label={typed.length > 1 ? `Equation ${i + 1}` : 'Equation'}
              hideLabel
              grows
              problem={answer && !answer.ok ? answer.problem.message : ''}
              hint={hintOf(answer, i)}
            >
              {(bound) => (
                <Input
                  {...bound}
                  className="mono"
                  value={text}
                  maxLength={300}
                  autoComplete="off"
                  spellCheck={false}
                  placeholder="Zn + H2SO4 -> ZnSO4 + H2"
                  onChange={(event) => onType(typed.map((each, at) => (at === i ? event.target.value : each)))}
                />
              )}
            </Field>
            {typed.length > 1 ? (
              <button
                type="button"
                className="link small"
                aria-label={`Leave out equation ${i + 1}`}
                onClick={() => onType(typed.filter((_, at) => at !== i))}
              >
                leave out
              </button>
            ) : null}
          </div>
        );
      })}
      <p className="small quiet">
        <button type="button" className="link" onClick={() => onType([...typed, ''])}>
          One equation more
        </button>
        {notHeld.length > 0 ? `. Known by its formula alone: ${notHeld.join(', ')}.` : ''}
      </p>
    </section>
  );
}

function hintOf(answer: OwnAnswer['equations'][number] | undefined, i: number): React.ReactNode {
  if (answer?.ok) return <span className="within">✓ {answer.read.says}</span>;
  return i === 0 ? HINT : '';
}

const HINT = 'Formulas or names; it is balanced for you. None where nothing has to react.';

/** A balanced equation, with what each term of it comes to in this batch. */
export function Balanced({ reaction, sheet, plan }: { reaction: Reaction; sheet: Sheet; plan: Plan }) {
  const { reactants, products } = reaction;
  return (
    <div className="own-balanced">
      {reactants.map((term, i) => (
        <Term
          key={term.substanceId}
          {...term}
          lead={i > 0 ? '+' : ''}
          {...takenOf(term.substanceId, { sheet, plan })}
        />
      ))}
      {products.map((term, i) => (
        <Term
          key={term.substanceId}
          {...term}
          lead={i > 0 ? '+' : '→'}
          {...madeOf(term.substanceId, { sheet, plan })}
        />
      ))}
    </div>
  );
}

interface TermProps {
  readonly substanceId: SubstanceId;
  readonly n: number;
  readonly lead: string;
  readonly mol?: string;
  readonly amount?: React.ReactNode;
  readonly note?: string;
  readonly limits?: boolean;
}

function Term({ substanceId, n, lead, mol, amount, note, limits }: TermProps) {
  const { name, formula } = substanceOf(substanceId);
  return (
    <>
      {lead ? (
        <span className="own-lead" aria-hidden="true">
          {lead}
        </span>
      ) : null}
      <div className={limits ? 'own-term own-limits' : 'own-term'} title={name}>
        <b>
          {n === 1 ? '' : <span className="own-n">{n} </span>}
          {formulaText(formula)}
        </b>
        {mol ? <span className="quiet small">{mol}</span> : null}
        {amount ? <span>{amount}</span> : null}
        {note ? <span className="small">{note}</span> : null}
        {limits ? <span className="limits small">▲ limits</span> : null}
      </div>
    </>
  );
}

type Of = { readonly sheet: Sheet; readonly plan: Plan };

function takenOf(substanceId: SubstanceId, { sheet, plan }: Of): Partial<TermProps> {
  const line = sheet.additions.find(({ role }) => {
    const accepts = plan.route.roles.find((each) => each.id === role)?.accepts ?? [];
    return accepts[0] !== undefined && substanceOf(accepts[0]).species === substanceId;
  });
  if (!line) return substanceId === 'water' ? { note: 'in the vessel' } : { note: 'made on the way' };
  const { dose } = line;
  const figure = dose.take.unit === 'mL' ? (dose.volume ?? dose.mass) : dose.mass;
  const excess = plan.controls[`over-${line.role}`];
  return {
    mol: `${formatNumber(line.amount.value, 3)} mol`,
    amount: <Num bare figure={figure} shown={formatPlain(dose.take.value)} unit={dose.take.unit} />,
    limits: line.limiting,
    ...(excess ? { note: `${formatPlain(excess)} % in excess` } : {}),
  };
}

function madeOf(substanceId: SubstanceId, { sheet, plan }: Of): Partial<TermProps> {
  const gas = sheet.gases.find(({ id }) => id === substanceId);
  if (gas)
    return { amount: <Num bare figure={gas.volume} shown={formatNumber(gas.volume.value, 2)} unit="L" />, note: 'gas' };
  const { makes } = plan.route;
  const species = makes.kind === 'solid' ? makes.anhydrousId : makes.substanceId;
  if (species === substanceId && sheet.theory)
    return {
      amount: <Num bare figure={sheet.theory} shown={formatNumber(sheet.theory.value, 3)} unit={sheet.theory.unit} />,
      note: 'theory',
    };
  return substanceId === 'water' ? {} : { note: 'stays in the liquor' };
}
