import { redirect } from 'next/navigation';

export default async function EnclosurePage({
  params,
}: {
  readonly params: Promise<{ readonly id: string }>;
}) {
  redirect(`/e/${(await params).id}/ground`);
}
