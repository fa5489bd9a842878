export declare const HEADLESS: string;
export declare function chromium(): string | null;
