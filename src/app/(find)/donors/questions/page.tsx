import { loadQuestions } from '../../../../features/donors/pages.server';
import { QuestionsSheet } from '../../../../features/donors/QuestionsSheet';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Questions' };

export const dynamic = 'force-dynamic';

export default async function QuestionsPage() {
  return (
    <>
      <PageHead title="Questions" subtitle="what is asked and claimed over all donors" />
      <QuestionsSheet view={await loadQuestions()} />
    </>
  );
}
