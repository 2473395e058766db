/** What reads codes: a part of its own, asked for when it is needed. */
export const qrReader = () => import('qr/decode.js');
