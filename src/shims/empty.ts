// Stands in for Node’s own modules in a page.
export {};
