/** The word by which the server lets in styles that the page's own script puts in. */
export const nonce = document.querySelector<HTMLMetaElement>('meta[name="nonce"]')?.content ?? '';
