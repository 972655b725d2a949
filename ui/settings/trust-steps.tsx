/** What is tapped on the way to trusting a certificate: the screen, and what is chosen on it. */
type Step = readonly [screen: string, choose: string];

const TRUST: readonly (readonly [device: string, steps: readonly Step[]])[] = [
  [
    'Android',
    [
      ['Settings', 'Security'],
      ['Security', 'Encryption & credentials'],
      ['Credentials', 'Install a certificate'],
      ['Install a certificate', 'CA certificate'],
      ['Choose a file', 'the file that you downloaded'],
    ],
  ],
  [
    'iPhone, iPad',
    [
      ['Safari', 'Open the file, allow the profile'],
      ['Settings › General', 'VPN & Device Management'],
      ['Profile', 'Install'],
      ['Settings › General › About', 'Certificate Trust Settings'],
      ['Trust Settings', 'Switch it on'],
    ],
  ],
  [
    'Windows',
    [
      ['Downloads', 'Open the file'],
      ['Certificate', 'Install Certificate'],
      ['Store Location', 'Local Machine'],
      ['Certificate Store', 'Place all certificates in the following store'],
      ['Browse', 'Trusted Root Certification Authorities'],
    ],
  ],
  [
    'macOS',
    [
      ['Downloads', 'Open the file: Keychain Access'],
      ['Keychain Access', 'Open its entry'],
      ['Certificate › Trust', 'When using this certificate: Always Trust'],
    ],
  ],
];

/** How each kind of device comes to trust a certificate, as small pictures of its screens. */
export function TrustSteps() {
  return TRUST.map(([device, steps]) => (
    <details key={device} className="border-b border-hairline py-1">
      <summary className="min-h-target cursor-pointer font-medium">{device}</summary>
      <ol className="flex flex-wrap gap-3 py-2">
        {steps.map(([screen, choose], i) => (
          <li
            key={screen}
            className="grid w-32 content-start gap-1.5 rounded-md border border-edge bg-card p-2 text-[0.8rem] leading-tight"
          >
            <span className="text-quiet">
              {i + 1}. {screen}
            </span>
            <span aria-hidden className="h-1.5 w-4/5 rounded-full bg-sunk" />
            <span className="rounded-sm border border-water bg-water-wash px-1.5 py-1 font-semibold">{choose}</span>
            <span aria-hidden className="h-1.5 w-3/5 rounded-full bg-sunk" />
            <span aria-hidden className="h-1.5 w-2/3 rounded-full bg-sunk" />
          </li>
        ))}
      </ol>
    </details>
  ));
}
