import { TERM_WORDS, type Term } from '#words/terms';
import { Explained } from '../ui/Explained';

/** A word of the trade that can be asked for. */
export const TermOf = ({ term }: { term: Term }) => <Explained {...TERM_WORDS[term]} />;
