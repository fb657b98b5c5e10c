// Report: a batch as a page of text that can be read without this program.

export { batchMarkdown, type Reported } from './markdown.ts';
