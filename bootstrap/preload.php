<?php

declare(strict_types=1);

// Compiled once when php-fpm starts, and shared by its workers: what nearly every request needs of the framework, and
// the product's own classes. Run by opcache.preload; what is left out is loaded when it is needed.

/** @var array<class-string, string> $classes */
$classes = require __DIR__.'/../vendor/composer/autoload_classmap.php';
$wanted = [
    'App', 'Brick\\Math', 'Carbon', 'Dotenv', 'GrahamCampbell', 'Illuminate', 'Laravel\\Sanctum', 'Laravel\\SerializableClosure',
    'MillStep\\Core', 'Monolog', 'PhpOption', 'Psr', 'Symfony\\Component\\Clock', 'Symfony\\Component\\HttpFoundation',
    'Symfony\\Component\\HttpKernel\\Exception', 'Symfony\\Component\\Routing', 'Symfony\\Component\\Translation',
    'Symfony\\Component\\VarDumper', 'Symfony\\Contracts',
];
// Whatever hangs on packages or drivers that a request does not use.
$left = '/'.implode('|', [
    '\\\\(Testing|Test|Console|Promises|Commands?|Horizon|DependencyInjection|DataCollector|Extractor)\\\\',
    'Routing.(Loader|Generator.Dumper)|Routing.Matcher.Expression',
    '^Illuminate.(Console|Broadcasting|Redis|Process|Concurrency|JsonSchema)\\\\',
    '^Illuminate.Mail.(?!MailManager|MailServiceProvider)|^Illuminate.Notifications.(Channels|Slack|Messages.Slack)',
    '^Monolog.(Handler.(?!Stream|Abstract|Processable|Formattable|Handler|Fingers)|Test)',
    '^Carbon.(Laravel|PHPStan|Doctrine|Cli|MessageFormatter|Exceptions.Doctrine|CarbonPeriod|Translator)',
    'Redis|DynamoDb|Memcached|Sqs|Beanstalkd|SqlServer|MySql|MariaDb|SQLite|AwsS3|Foundation.*Cloud|BroadcastableModel',
    'DataCollector|FilterEmailValidation|ContextLogProcessor|IdentityMarshaller',
]).'/';
foreach ($classes as $class => $file) {
    $ours = array_filter($wanted, static fn (string $space): bool => str_starts_with($class, $space.'\\')) !== [];
    $ours = $ours
        || $class === Symfony\Component\HttpKernel\HttpKernelInterface::class
        || $class === Symfony\Component\HttpKernel\TerminableInterface::class;
    if (! $ours || preg_match($left, $class) === 1 || ! is_file($file)) {
        continue;
    }
    $text = str_starts_with($class, 'App\\') ? (string) file_get_contents($file) : '';
    if (! preg_match('/extends (Command|AbstractTransport|Notification)\b/', $text)) {
        opcache_compile_file($file);
    }
}
