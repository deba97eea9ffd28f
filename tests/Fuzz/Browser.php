<?php

declare(strict_types=1);

namespace Tests\Fuzz;

/** Somebody at a browser of their own, or a device with its token, speaking to the running shop over the wire. */
final class Browser
{
    /** @var array<string, string> */
    private array $cookies = [];

    private ?int $person = null;

    private ?string $token = null;

    public function __construct(
        private readonly string $url,
        private readonly string $email = '',
        private readonly string $password = '',
        private readonly int $timeout = 60,
    ) {
    }

    public function carry(string $token): void
    {
        $this->token = $token;
    }

    public function token(): ?string
    {
        return $this->token;
    }

    /** False where the sign-in is refused for now. */
    public function signIn(): bool
    {
        $this->cookies = [];
        $this->person = null;
        $this->send('GET', '/api/people/me', null);
        $answer = $this->send(
            'POST',
            '/api/people/session',
            json_encode(['email' => $this->email, 'password' => $this->password], JSON_THROW_ON_ERROR),
        );
        $this->person = $answer['status'] === 200 ? (int) ($answer['json']['id'] ?? 0) : null;

        return $this->person !== null;
    }

    /** @return array{status: int, type: string, text: string, json: mixed} */
    public function send(string $method, string $path, ?string $body): array
    {
        $headers = ['Accept: application/json', 'Expect:'];
        if ($body !== null) {
            $headers[] = 'Content-Type: application/json';
        }
        if ($this->token !== null) {
            $headers[] = 'Authorization: Bearer '.$this->token;
        } else {
            $headers[] = 'Cookie: '.implode(
                '; ',
                array_map(static fn (string $name, string $value): string => "$name=$value", array_keys($this->cookies), $this->cookies),
            );
            $headers[] = 'X-XSRF-TOKEN: '.rawurldecode($this->cookies['XSRF-TOKEN'] ?? '');
            $this->person === null || $headers[] = 'X-Mill-Step-From: '.$this->person;
        }
        $call = curl_init($this->url.$path) ?: throw new \RuntimeException('curl is not there.');
        curl_setopt_array($call, [
            CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true, CURLOPT_HTTPHEADER => $headers,
            CURLOPT_TIMEOUT => $this->timeout, CURLOPT_PROXY => '', CURLOPT_PATH_AS_IS => true,
        ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => $body]));
        $answer = curl_exec($call);
        $status = (int) curl_getinfo($call, CURLINFO_RESPONSE_CODE);
        $size = (int) curl_getinfo($call, CURLINFO_HEADER_SIZE);
        $type = (string) curl_getinfo($call, CURLINFO_CONTENT_TYPE);
        curl_close($call);
        $answer = is_string($answer) ? $answer : '';
        preg_match_all('/^set-cookie: ([^=]+)=([^;]*)/mi', substr($answer, 0, $size), $set, PREG_SET_ORDER);
        foreach ($set as [, $name, $value]) {
            $this->cookies[$name] = $value;
        }
        $text = substr($answer, $size);

        return ['status' => $status, 'type' => $type, 'text' => $text, 'json' => json_decode($text, true)];
    }
}
