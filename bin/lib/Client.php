<?php

declare(strict_types=1);

namespace Bin;

use CurlHandle;

/** A signed-in client of a running application on loopback, for bench, fuzz and chaos. */
final class Client
{
    /** @var array<string, string> cookies */
    private array $jar = [];

    public function __construct(public readonly string $base)
    {
        if (preg_match('#^http://(127\.0\.0\.1|localhost):\d+$#', $base) !== 1) {
            throw new \InvalidArgumentException("Only an application on this machine is asked; $base is none.");
        }
    }

    public function signIn(string $email, string $password): self
    {
        $this->send('GET', '/sign-in');
        [$status] = $this->send('POST', '/api/sign-in', ['email' => $email, 'password' => $password]);
        if ($status !== 200) {
            throw new \RuntimeException("Signing in as $email answered $status.");
        }

        return $this;
    }

    /**
     * @param  array<array-key, mixed>|string|null  $body  a string is sent as it is
     * @return array{int, string, float} status (0: no answer), body, seconds
     */
    public function send(string $method, string $path, array|string|null $body = null, float $patience = 30.0): array
    {
        $curl = $this->request($method, $path, $body, $patience);
        $answer = (string) curl_exec($curl);

        return [curl_getinfo($curl, CURLINFO_HTTP_CODE), $answer, curl_getinfo($curl, CURLINFO_TOTAL_TIME)];
    }

    /**
     * @param  array<array-key, mixed>|string|null  $body
     */
    public function request(
        string $method,
        string $path,
        array|string|null $body = null,
        float $patience = 30.0,
    ): CurlHandle {
        $curl = curl_init($this->base.$path);
        curl_setopt_array(
            $curl,
            [
                CURLOPT_CUSTOMREQUEST => $method ?: 'GET',
                CURLOPT_HTTPHEADER => $this->headers(),
                CURLOPT_RETURNTRANSFER => true,
                CURLOPT_TIMEOUT_MS => (int) ($patience * 1000),
                CURLOPT_HEADERFUNCTION => function (CurlHandle $_, string $line): int {
                    if (preg_match('/^Set-Cookie: ([^=]+)=([^;]*)/i', $line, $m) === 1) {
                        $this->jar[$m[1]] = $m[2];
                    }

                    return strlen($line);
                },
            ] +
                ($body === null
                    ? []
                    : [
                        CURLOPT_POSTFIELDS => is_string($body)
                            ? $body
                            : (string) json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR),
                    ]),
        );

        return $curl;
    }

    /** @return list<string> */
    public function headers(): array
    {
        $cookies = array_map(static fn ($k, $v): string => "$k=$v", array_keys($this->jar), $this->jar);

        return [
            'Accept: application/json',
            'Content-Type: application/json',
            'Cookie: '.implode('; ', $cookies),
            'X-XSRF-TOKEN: '.urldecode($this->jar['XSRF-TOKEN'] ?? ''),
            'Expect:',
        ];
    }
}
