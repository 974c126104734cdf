import type { WebDriver } from "selenium-webdriver";
export function openBrowser(options?: {
  width?: number;
  height?: number;
  camera?: string;
  sound?: string;
  trusting?: boolean;
}): Promise<{ driver: WebDriver & { sendDevToolsCommand(name: string, params: object): Promise<void> }; close: () => Promise<void> }>;
