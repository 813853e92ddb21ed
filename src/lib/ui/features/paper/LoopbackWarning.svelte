<!-- A code that leads nowhere is found out only when the label is on the reel. -->
<p class="mt-3 max-w-[64ch] border-l-[3px] border-warn pl-3" role="alert">
	Only this computer can open the address in this code: on a phone it leads nowhere. Give the address that
	other people use under
	<a class="underline underline-offset-4" href="/data#address">Your data</a>, then print.
</p>
