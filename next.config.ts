import type { NextConfig } from "next";

const config: NextConfig = {
  // The native driver, the image library and the PDF writer read files beside themselves: the bundler must leave them alone.
  serverExternalPackages: ["better-sqlite3", "sharp", "pdfkit", "highs", "@node-rs/argon2", "zxcvbn"],
  // A spreadsheet of ten thousand rows is one act (core/bring-in/table.ts holds the limit that is told).
  experimental: {
    // The largest file that may be brought in is one press (core/acts/act.ts), each of its empty cells three letters on the way.
    // What passes the gate (proxy.ts) is cut off at ten unless it is said: a picture of twelve has to go through whole.
    proxyClientMaxBodySize: "40mb",
  },
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  typescript: { ignoreBuildErrors: true }, // `npm test` runs the type checker on its own, faster
  async headers() {
    return [
      {
        source: "/:path*",
        headers: [
          { key: "X-Content-Type-Options", value: "nosniff" },
          { key: "Referrer-Policy", value: "no-referrer" },
          { key: "X-Frame-Options", value: "DENY" },
          { key: "Permissions-Policy", value: "camera=(self), microphone=(self), geolocation=()" },
        ],
      },
      // The form of a quote's link is sent without a script: it has an Origin only where the page may be named to ourselves (Fetch standard).
      { source: "/q/:path*", headers: [{ key: "Referrer-Policy", value: "same-origin" }] },
    ];
  },
};

export default config;
