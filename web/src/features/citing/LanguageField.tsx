import { ChoiceField } from '../../ui';
import { useHere } from '../session';
import { useCitingChoices } from './api';

/** The language that citations are written in; empty: the style's own. */
export function LanguageField({
  value,
  onChange,
}: {
  value: string;
  onChange: (language: string) => void;
}) {
  const languages = useCitingChoices(useHere().id).data?.languages ?? [];
  return (
    <ChoiceField
      label="Language of its words"
      value={value}
      of={languages.map(({ code, name }) => ({ id: code, name }))}
      none="that of the style"
      onChange={onChange}
    />
  );
}
