import { JobPage } from '@/ui';

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  return <JobPage id={(await params).id} />;
}
