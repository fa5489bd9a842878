import { X509Certificate } from 'node:crypto';
import { join } from 'node:path';

/** Where a shop's own authority and certificate are kept. */
export const tlsFiles = (dataFolder: string) => {
  const file = (name: string): string => join(dataFolder, 'tls', name);
  return {
    authorityFile: file('authority.pem'),
    authorityKeyFile: file('authority-key.pem'),
    certFile: file('server.pem'),
    keyFile: file('server-key.pem'),
  };
};

/** Names, not numbers, that a certificate is for. @throws where the text is no certificate */
export const namesIn = (pem: string): string[] =>
  (new X509Certificate(pem).subjectAltName ?? '')
    .split(', ')
    .flatMap((one) => (one.startsWith('DNS:') ? [one.slice('DNS:'.length).toLowerCase()] : []));
