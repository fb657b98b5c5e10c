import { type InputRef, Segmented } from 'antd';
import type { Ref } from 'react';
import { ok, type Result } from '#base/problem';
import { parseReading, type Reading } from '#base/reading';
import { formatPlain, parseNumber } from '#base/units';
import type { OwnMeasure } from '#matter/gear';
import { ReadingField } from './reading-field.tsx';

interface AmountFieldProps {
  readonly label: string;
  readonly text: string;
  readonly unit: string;
  /** g, perhaps mL; the person’s own measures are offered besides. */
  readonly units: readonly string[];
  readonly measures: readonly OwnMeasure[];
  readonly problem: string;
  readonly onText: (text: string) => void;
  readonly onUnit: (unit: string) => void;
  readonly fieldRef?: Ref<InputRef>;
}

/** An amount as it was measured: grams, millilitres, or so many of an own measure that was weighed once. */
export function AmountField({ measures, units, unit, onUnit, text, ...field }: AmountFieldProps) {
  const measure = measures.find(({ name }) => name === unit);
  const counted = measure && text.trim() !== '' ? readAmount(text, unit, measures) : undefined;
  const options = [...units, ...measures.map(({ name }) => name)];
  return (
    <>
      <div>
        <ReadingField {...field} text={text} unit={measure ? '×' : unit} />
        {counted?.ok && counted.value.is === 'counted' ? (
          <p className="quiet small">about {formatPlain(counted.value.count * counted.value.each, 3)} g</p>
        ) : null}
      </div>
      {options.length > 1 ? (
        <Segmented aria-label="Measured by" options={options} value={unit} onChange={(next) => onUnit(String(next))} />
      ) : null}
    </>
  );
}

/** The reading that an amount stands for; a refusal is a sentence for its field. */
export function readAmount(text: string, unit: string, measures: readonly OwnMeasure[]): Result<Reading> {
  const measure = measures.find(({ name }) => name === unit);
  if (!measure) return parseReading(text, unit);
  const count = parseNumber(text);
  if (!count.ok) return count;
  const { name, gramsEach, sdG } = measure;
  return ok({ is: 'counted', count: count.value, measure: name, each: gramsEach, sd: sdG, unit: 'g' });
}
