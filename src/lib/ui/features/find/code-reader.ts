import wasm from 'zxing-wasm/reader/zxing_reader.wasm?url';

/** Reads the code in a picture; undefined where there is none. */
export type CodeReader = (picture: HTMLVideoElement) => Promise<string | undefined>;

interface Detector {
	detect: (picture: HTMLVideoElement) => Promise<readonly { rawValue: string }[]>;
}
type Detectors = {
	new (options: { formats: ['qr_code'] }): Detector;
	getSupportedFormats: () => Promise<readonly string[]>;
};

/** The browser's own detector, where it has one that reads these codes. */
async function ownDetector(): Promise<Detector | undefined> {
	const own = (window as { BarcodeDetector?: Detectors }).BarcodeDetector;
	return own && (await own.getSupportedFormats()).includes('qr_code')
		? new own({ formats: ['qr_code'] })
		: undefined;
}

/** The same from a package: its code is loaded when somebody scans, from this server. */
async function shippedDetector(): Promise<Detector> {
	const { BarcodeDetector, prepareZXingModule } = await import('barcode-detector/ponyfill');
	prepareZXingModule({ overrides: { locateFile: () => wasm } });
	return new BarcodeDetector({ formats: ['qr_code'] });
}

export async function codeReader(): Promise<CodeReader> {
	const detector = (await ownDetector()) ?? (await shippedDetector());
	return async (picture) => (await detector.detect(picture))[0]?.rawValue;
}
