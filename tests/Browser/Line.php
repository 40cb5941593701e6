<?php

declare(strict_types=1);

namespace Tests\Browser;

/** A line to the application that can be cut: what runs through it breaks off; nothing connects until it is mended. */
final class Line
{
    /** @var resource|null the process that passes on (`line.php`) */
    private mixed $process = null;

    private function __construct(private readonly int $port, private readonly int $to)
    {
    }

    public static function to(string $base): self
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No port is free.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $line = new self($port, (int) parse_url($base, PHP_URL_PORT));
        $line->mend();

        return $line;
    }

    public function url(): string
    {
        return "http://127.0.0.1:{$this->port}";
    }

    public function mend(): void
    {
        $command = [PHP_BINARY, __DIR__.'/line.php', (string) $this->port, (string) $this->to];
        $pipes = [];
        $this->process = proc_open($command, [], $pipes) ?: throw new \RuntimeException('The line does not start.');
        for ($i = 0; $i < 100; $i++) {
            $one = @stream_socket_client("tcp://127.0.0.1:{$this->port}", timeout: 1.0);
            if ($one !== false) {
                fclose($one);

                return;
            }
            usleep(50_000);
        }
        throw new \RuntimeException('The line does not listen.');
    }

    public function cut(): void
    {
        if ($this->process !== null) {
            proc_terminate($this->process, 9);
            proc_close($this->process);
            $this->process = null;
        }
    }
}
