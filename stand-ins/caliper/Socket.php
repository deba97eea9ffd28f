<?php

declare(strict_types=1);

namespace MillStep\StandIns\Caliper;

/**
 * Hands readings over on a local socket. A program that asks with a line (`?`) is answered with a line, as a serial gauge does; a
 * browser that comes with a WebSocket handshake is sent each reading as it is taken.
 */
final class Socket
{
    private const KEY = '258EAFA5-E914-47DA-95CA-C5AB0DC85B11';

    /** @var resource */
    private $server;

    /** @var array<int, resource> every connection */
    private array $open = [];

    /** @var array<int, string> what came of a line or a handshake that is not whole yet */
    private array $half = [];

    /** @var array<int, true> browsers */
    private array $browsers = [];

    private ?string $last = null;

    public function __construct(public readonly int $port)
    {
        $server = @stream_socket_server("tcp://127.0.0.1:$port", $code, $why);
        if ($server === false) {
            throw new \RuntimeException("Port $port of this machine is taken: $why");
        }
        stream_set_blocking($server, false);
        $this->server = $server;
    }

    /** @return resource */
    public function server()
    {
        return $this->server;
    }

    /** @return list<resource> */
    public function connections(): array
    {
        return array_values($this->open);
    }

    public function take(string $reading): void
    {
        $this->last = $reading;
        foreach (array_keys($this->browsers) as $id) {
            isset($this->open[$id]) && @fwrite($this->open[$id], self::frame($reading));
        }
    }

    public function accept(): void
    {
        $connection = @stream_socket_accept($this->server, 0);
        if ($connection !== false) {
            stream_set_blocking($connection, false);
            $this->open[(int) $connection] = $connection;
            $this->half[(int) $connection] = '';
        }
    }

    /** @param  resource  $connection */
    public function hear($connection): void
    {
        $id = (int) $connection;
        $bytes = @fread($connection, 8192);
        if ($bytes === '' || $bytes === false) {
            feof($connection) && $this->close($id);

            return;
        }
        if (isset($this->browsers[$id])) {
            // A browser has nothing to say but that it goes.
            (ord($bytes[0]) & 0x0F) === 0x8 && $this->close($id);

            return;
        }
        $this->half[$id] .= $bytes;
        if (strlen($this->half[$id]) > 8192) {
            $this->close($id);
        } elseif (str_starts_with($this->half[$id], 'GET ')) {
            str_contains($this->half[$id], "\r\n\r\n") && $this->shakeHands($id);
        } else {
            $this->answerLines($id);
        }
    }

    private function answerLines(int $id): void
    {
        while (($end = strpos($this->half[$id], "\n")) !== false) {
            $asked = trim(substr($this->half[$id], 0, $end));
            $this->half[$id] = substr($this->half[$id], $end + 1);
            $says = $this->last === null ? 'NONE' : sprintf('%+.4f mm', (float) $this->last);
            fwrite($this->open[$id], ($asked === '?' ? $says : 'ERR')."\r\n");
        }
    }

    /** RFC 6455. Whatever page asks is answered: what a caliper shows is no secret. */
    private function shakeHands(int $id): void
    {
        if (preg_match('/^Sec-WebSocket-Key: (\S+)\s*$/mi', $this->half[$id], $found) !== 1) {
            fwrite($this->open[$id], "HTTP/1.1 400 Bad Request\r\nConnection: close\r\n\r\n");
            $this->close($id);

            return;
        }
        $accept = base64_encode(sha1($found[1].self::KEY, true));
        fwrite($this->open[$id], "HTTP/1.1 101 Switching Protocols\r\nUpgrade: websocket\r\nConnection: Upgrade\r\n"
            ."Sec-WebSocket-Accept: $accept\r\n\r\n");
        $this->browsers[$id] = true;
        $this->half[$id] = '';
    }

    /** A short text frame, unmasked as a server's are. */
    private static function frame(string $text): string
    {
        return "\x81".chr(strlen($text)).$text;
    }

    private function close(int $id): void
    {
        isset($this->open[$id]) && @fclose($this->open[$id]);
        unset($this->open[$id], $this->half[$id], $this->browsers[$id]);
    }
}
