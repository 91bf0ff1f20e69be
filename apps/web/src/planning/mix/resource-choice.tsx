import type { MixModel } from '@nuvar/core';

interface ResourceChoiceProps {
  readonly label: string;
  readonly model: MixModel;
  /** The place of the chosen one in the model. */
  readonly value: number;
  readonly choose: (at: number) => void;
}

/** Which of the resources of a model something is shown of. */
export function ResourceChoice({ label, model, value, choose }: ResourceChoiceProps) {
  return (
    <select
      className="select w-52 font-normal"
      aria-label={label}
      value={value}
      onChange={({ target }) => choose(Number(target.value))}
    >
      {model.resources.map(({ id, name }, at) => (
        <option key={id} value={at}>
          {name}
        </option>
      ))}
    </select>
  );
}
