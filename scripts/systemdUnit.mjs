// Writes a unit for systemd to the terminal: how this house is started with the machine and kept running. docs/operations.md explains it.
import { userInfo } from 'node:os';
import { dataFolder, ROOT } from './places.mjs';

/** The unit for a house. */
export const systemdUnit = ({ root, node, user, data, port }) => `[Unit]
Description=Bunkhouse
After=network.target

[Service]
Type=simple
User=${user}
WorkingDirectory=${root}
Environment=BUNKHOUSE_DATA=${data}
Environment=BUNKHOUSE_PORT=${port}
ExecStart=${node} scripts/start.mjs
# What it started itself it stops itself, the database last.
KillMode=mixed
TimeoutStopSec=45
Restart=on-failure
RestartSec=5

[Install]
WantedBy=multi-user.target
`;

if (process.argv[1]?.endsWith('systemdUnit.mjs'))
  process.stdout.write(
    systemdUnit({
      root: ROOT,
      node: process.execPath,
      user: userInfo().username,
      data: dataFolder(),
      port: process.env.BUNKHOUSE_PORT || 4180,
    }),
  );
