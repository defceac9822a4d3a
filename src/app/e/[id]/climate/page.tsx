import { Climate } from '@/features/climate/Climate';

export default function ClimatePage() {
  return <Climate />;
}
