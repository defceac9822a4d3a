/** The first of the seeds that nobody looks at while weights are set; what they give is written down in docs/testing.md. */
export const UNSEEN = 70_001;
