import { Segmented, Slider } from 'antd';
import { formatNumber, formatPlain } from '#base/units';
import type { Plan } from '#run/plan';
import type { Sheet } from '#run/sheet';
import type { Control, TechniqueName } from '#run/technique';

interface ControlsProps {
  /** Null while the plan cannot work: its controls are what mends it. */
  readonly sheet: Sheet | null;
  readonly plan: Plan;
  readonly controls: readonly Control[];
  /** The control that would help. */
  readonly helps?: string | undefined;
  readonly onControl: (control: string, value: number) => void;
}

/** What can be set in a plan, each with what moving it costs or brings. */
export function Controls({ sheet, plan, controls, helps, onControl }: ControlsProps) {
  return (
    <div className="controls">
      {controls.map((control) => {
        const value = plan.controls[control.id] ?? control.start;
        const label = `${control.name}, ${control.unit}. ${control.note}`;
        if (control.choices)
          return (
            <div key={control.id} className="control control-choice">
              <span>{control.name}</span>
              <Segmented
                block
                size="small"
                aria-label={label}
                title={control.note}
                options={control.choices.map((name, i) => ({ label: name, value: control.min + i }))}
                value={value}
                onChange={(next) => onControl(control.id, Number(next))}
              />
            </div>
          );
        return (
          <div key={control.id} className={control.id === helps ? 'control control-helps' : 'control'}>
            <span>{control.name}</span>
            <Slider
              min={control.min}
              max={control.max}
              step={control.step}
              value={value}
              tooltip={{ open: false }}
              ariaLabelForHandle={label}
              onChange={(next) => onControl(control.id, next)}
            />
            <output title={control.note}>{controlText(control, value, { sheet, plan })}</output>
          </div>
        );
      })}
    </div>
  );
}

/** A boil-down is read on the vessel, so it is shown as the volume it comes to. */
function controlText(
  { id, unit }: Control,
  value: number,
  { sheet, plan }: Pick<ControlsProps, 'sheet' | 'plan'>,
): string {
  const step = plan.route.steps.find(({ op }) => 'control' in op && op.control === id);
  const volume = step && sheet?.figures[VOLUME_AT[step.op.do] ?? ''];
  return volume ? `${formatNumber(volume.value, 2)} mL` : `${formatPlain(value)} ${unit}`;
}

/** The volume that a kind of step is read by. */
const VOLUME_AT: Partial<Record<TechniqueName, string>> = { 'boil-down': 'boil.volume', evaporate: 'dish.volume' };
