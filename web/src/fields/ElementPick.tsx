import { useChosenElement, useDocument } from '../job/JobContext';
import { Pick } from '../common/Pick';
import { fields } from '../words';

/** Which element of the job is looked at; nothing is drawn where there is one only. */
export function ElementPick() {
  const document = useDocument();
  const [at, choose] = useChosenElement();
  if (document.elements.length < 2) return null;
  return (
    <Pick
      label={fields.element}
      looks
      value={String(at)}
      of={Object.fromEntries(document.elements.map((e, i) => [String(i), e.name]))}
      onPick={(v) => {
        choose(Number(v));
      }}
    />
  );
}
