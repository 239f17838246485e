import { Link } from 'react-router';
import { sayDuration } from '#words/hold';
import { glassWords } from '#words/screens/glass';
import { usePicturesQuery } from '../data/kitchenApi';
import type { Jar } from '../data/jars';

/** The pictures of a jar in a row, each with its time; nothing where there are none. */
export function JarPictures({ jar }: { readonly jar: Pick<Jar, 'id' | 'formulaId'> }) {
  const pictures = usePicturesQuery(jar.id).data?.pictures ?? [];
  if (pictures.length === 0) return null;
  return (
    <ul aria-label={glassWords.kept} className="flex flex-wrap gap-2 py-2" data-testid="jar-pictures">
      {pictures.map(({ id, seconds }) => {
        const time = seconds === null ? glassWords.timeNotKnown : glassWords.after(sayDuration(seconds));
        return (
          <li key={id} className="w-24 text-center text-xs">
            <Link to={`/formulas/${jar.formulaId}/look?jar=${jar.id}`}>
              <img
                src={`/api/pictures/${id}`}
                alt=""
                loading="lazy"
                className="h-24 w-24 rounded object-cover"
              />
              {time}
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
