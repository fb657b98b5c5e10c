import { expose } from 'comlink';
import { verbs } from '#contract/verbs';

// The same functions as behind HTTP and the command line, away from the page's own thread.
expose(verbs);
