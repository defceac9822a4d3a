import { Message } from './Message';

/** Stands where a part of a page is being fetched. */
export const Fetching = () => <Message title="One moment" role="status" />;
