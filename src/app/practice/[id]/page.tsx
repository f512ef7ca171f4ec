import { RoundPage } from '@/ui/practice/RoundPage';

export const metadata = { title: 'A round of practice · Yellow Sheet' };

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  return <RoundPage id={(await params).id} />;
}
