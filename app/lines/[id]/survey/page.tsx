import type { Metadata } from 'next';
import { SurveyView } from '@/ui/survey/survey-view';

export const metadata: Metadata = { title: 'Survey' };

export default function Page() {
  return <SurveyView />;
}
