import { adviceByAnswer } from '../test/advice-by-answer';
import { adviceExamples } from '../test/advice-examples';
import { testPage } from '../test/page-of-docs';

testPage('docs/advice-examples.md', adviceExamples());
testPage('docs/advice-by-answer.md', adviceByAnswer());
