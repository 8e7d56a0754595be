import { QRCodeSVG } from 'qrcode.react';

const SIDE_PX = 232;

/** An address as a code to scan, black on white whatever the page around it looks like. */
export function ScanCode({ address }: { address: string }) {
    return (
        <QRCodeSVG
            value={address}
            size={SIDE_PX}
            marginSize={2}
            title={`Code to scan: ${address}`}
            className="h-auto w-full max-w-64 border border-line"
        />
    );
}
