/** How the name of the product is written wherever it stands for the product. */
export const WORDMARK = 'font-serif text-[1.3rem] font-bold tracking-tight text-primary';
