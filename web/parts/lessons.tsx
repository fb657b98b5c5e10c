import { Input } from 'antd';
import { useState } from 'react';
import type { LessonAnswer } from '#contract/api';
import { sentenceOf } from '../api/client.ts';
import { useAddLesson, useLessons, useRetireLesson } from '../api/lessons.ts';
import { Field } from '../kit/field.tsx';

interface LessonsProps {
  readonly title: string;
  readonly which: (lesson: LessonAnswer) => boolean;
  /** What a new lesson is attached to; none can be added without. */
  readonly attach?: Omit<LessonAnswer, 'id' | 'text' | 'writtenAt' | 'retiredAt'>;
}

/** What was learnt here before, and a line to add to it. */
export function Lessons({ title, which, attach }: LessonsProps) {
  const { data } = useLessons();
  const add = useAddLesson();
  const retire = useRetireLesson();
  const [text, setText] = useState('');
  const lessons = (data ?? []).filter((each) => each.retiredAt === null && which(each));
  if (lessons.length === 0 && !attach) return null;
  return (
    <section aria-label={title} className="lessons">
      <h2>{title}</h2>
      <ul>
        {lessons.map((each) => (
          <li key={each.id}>
            {each.text}{' '}
            <button
              type="button"
              className="link small"
              aria-label={`Retire the lesson: ${each.text}`}
              onClick={() => retire.mutate({ id: each.id, retired: true })}
            >
              retire
            </button>
          </li>
        ))}
      </ul>
      {attach ? (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (text.trim() !== '') add.mutate({ ...attach, text: text.trim() }, { onSuccess: () => setText('') });
          }}
        >
          <div className="lesson-row">
            <Field label="For next time" grows>
              {(bound) => (
                <Input
                  {...bound}
                  value={text}
                  maxLength={1000}
                  placeholder="what to do differently"
                  onChange={(event) => setText(event.target.value)}
                />
              )}
            </Field>
            <button type="submit" className="link" disabled={text.trim() === '' || add.isPending}>
              keep
            </button>
          </div>
          {add.isError ? <p className="problem small">{sentenceOf(add.error)}</p> : null}
        </form>
      ) : null}
    </section>
  );
}
