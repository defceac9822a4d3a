import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';

/** The demo's enclosures, proposed once when the application is built: that takes a browser a second. */
export const dynamic = 'force-static';

export const GET = (): Response => Response.json(demoDesigns(catalogue));
