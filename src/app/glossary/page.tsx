import { Glossary } from '@/ui/glossary/Glossary';

export const metadata = { title: 'Glossary · Yellow Sheet' };

export default function Page() {
  return <Glossary />;
}
