<?php

declare(strict_types=1);

// php line.php PORT TO: passes on what comes to PORT to the port TO of this machine, and back; killed, the line is cut.

[, $port, $to] = $argv;
$server = stream_socket_server("tcp://127.0.0.1:$port") ?: exit(1);
/** @var array<int, resource> $other the other end of each connection */
$other = [];
for (; ;) {
    $read = [$server, ...array_map(static fn ($one) => $one, array_values($other))];
    $write = $except = null;
    stream_select($read, $write, $except, null);
    foreach ($read as $from) {
        if ($from === $server) {
            $near = stream_socket_accept($server);
            $far = $near === false ? false : stream_socket_client("tcp://127.0.0.1:$to");
            if ($near !== false && $far !== false) {
                [$other[(int) $near], $other[(int) $far]] = [$far, $near];
            }

            continue;
        }
        $end = $other[(int) $from] ?? null;
        if ($end === null) {
            continue;
        }
        $part = (string) fread($from, 65536);
        if ($part === '' && feof($from)) {
            unset($other[(int) $from], $other[(int) $end]);
            fclose($from);
            fclose($end);
        } else {
            for ($sent = 0; $sent < strlen($part);) {
                $now = @fwrite($end, substr($part, $sent));
                if ($now === false || $now === 0) {
                    break;
                }
                $sent += $now;
            }
        }
    }
}
