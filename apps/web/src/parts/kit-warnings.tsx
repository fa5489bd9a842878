import { useKitWarnings } from '../api/kit-queries.js';
import { useFormat } from '../format/use-format.js';
import { warningTexts } from '../words/kit-words.js';
import classes from './kit-warnings.module.css';

/** What of the kit is to be seen to before tomorrow; a quiet one says nothing where there is nothing. */
export function KitWarningsBox({ isQuiet = false }: { readonly isQuiet?: boolean }) {
  const format = useFormat();
  const { data: warnings } = useKitWarnings();
  if (!warnings) return null;
  const texts = warningTexts(warnings, format);
  if (texts.length === 0 && isQuiet) return null;
  if (texts.length === 0)
    return (
      <p className="muted">
        Nothing to do tonight
        {warnings.coldestC === null
          ? '; nobody knows how cold it gets.'
          : `: down to ${format.temp(warnings.coldestC)} outdoors until morning (forecast).`}
      </p>
    );
  return (
    <section className={classes.warnings} aria-label="Tonight">
      <h2>Tonight</h2>
      <ul>
        {texts.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </section>
  );
}
