<h2 style="font-size:12pt">What was promised</h2>
<ul>
@foreach ($c['promised'] as $line)
<li>{{ $line }}</li>
@endforeach
</ul>
@if ($c['agreed'] !== [] || $c['unpainted'] !== [])
<h2 style="font-size:12pt">What was agreed beside it</h2>
<ul>
@foreach ($c['agreed'] as $line)
<li>{{ $line }}</li>
@endforeach
@if ($c['unpainted'] !== [])
<li>Left unpainted: {{ implode(', ', $c['unpainted']) }}</li>
@endif
</ul>
@endif
<h2 style="font-size:12pt">What the check found</h2>
@if ($c['side_by_side'] !== null)
<p>{{ $c['side_by_side'] }}</p>
@endif
@foreach ($c['found'] as $found)
<p><b>Model {{ $found['model'] }}, {{ $found['code'] }}</b>: {{ $found['said'] }}</p>
@endforeach
<p style="font-size:8pt;color:#5d5a52">Record {{ $c['number'] }}, signed {{ $day($c['signed_at']) }}, standard version {{ $c['standard_version'] }}</p>
<p>{{ $c['holds'] ? 'The record is as it was signed, and stands unbroken among the records of the studio.' : 'The record is not as it was signed. Ask the studio.' }}</p>
<p style="font-size:7.5pt;color:#5d5a52">{{ $c['hash'] }}</p>
