import { useLocation } from 'react-router';
import { tongueNow } from '#words/tongue';
import { frameLaterWords } from '#words/screens/frameLater';
import { isOfTheStation } from './ofTheStation';

/** Said where a page is not in the language of this device: what stands there is English. */
export function NotInGerman() {
  const { pathname } = useLocation();
  const tongue = tongueNow();
  if (tongue === 'en' || isOfTheStation(pathname)) return null;
  return (
    <p lang={tongue} className="mb-2 text-sm text-quiet print:hidden" data-testid="not-in-german">
      {frameLaterWords.notInThisLanguage}
    </p>
  );
}
